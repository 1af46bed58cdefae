import { useMemo } from 'react'
import { forTubes, lensAbout, type LensExercise, meltExercise, smallJobs } from '@ivory-crystal/core/practice'
import type { PlayerProps } from '../exerciseSetup'
import { AtTheLens } from './AtTheLens'

/** One of the place’s own exercises at the lens. */
export function LensPlayer({ put, onDone, below }: PlayerProps) {
  const { name, seed, level, shelf } = put
  const exercise = useMemo(
    () => meltExercise(name as LensExercise, forTubes(shelf), seed, level),
    [name, shelf, seed, level],
  )
  const jobs = useMemo(() => smallJobs(seed, lensAbout(name as LensExercise).jobs), [name, seed])
  return <AtTheLens put={put} exercise={exercise} jobs={jobs} onDone={onDone} below={below} />
}
