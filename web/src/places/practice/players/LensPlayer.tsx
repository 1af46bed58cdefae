import { useMemo } from 'react'
import { forTubes, type LensExercise, meltExercise, smallJobs } from '@ivory-crystal/core/practice'
import type { PlayerProps } from '../put'
import { AtTheLens } from './AtTheLens'

const JOBS = 5

/** One of the place’s own exercises at the lens. */
export function LensPlayer({ put, onDone, below }: PlayerProps) {
  const { name, seed, level, shelf } = put
  const exercise = useMemo(
    () => meltExercise(name as LensExercise, forTubes(shelf), seed, level),
    [name, shelf, seed, level],
  )
  const jobs = useMemo(() => (name === 'it starts early' ? smallJobs(seed, JOBS) : []), [name, seed])
  return <AtTheLens put={put} exercise={exercise} jobs={jobs} onDone={onDone} below={below} />
}
