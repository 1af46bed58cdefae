import { useState } from 'react'
import {
  eyeOf,
  eyeSentence,
  markWithinC,
  type PracticalResults,
  resultsTable,
} from '@ivory-crystal/core/practice'
import { EyeDrawing } from '../../drawings/EyeDrawing'
import { FileButton } from '../../parts/FileButton'
import { useHouseRules } from '../../parts/useHouseRules'
import { ResultsTable } from './ResultsTable'

/** What a class handed in, file by file: the sheet, and its spread in the same drawing. */
export function ClassResults() {
  const rules = useHouseRules()
  const [results, setResults] = useState<readonly PracticalResults[]>([])
  const [refused, setRefused] = useState<ReadonlyMap<string, string>>(new Map())
  const take = async (file: File) => {
    const { readPracticeFile } = await import('@ivory-crystal/core/practice/files')
    const held = readPracticeFile(file.name, await file.text())
    const why = !held.ok
      ? held.problem.sentence
      : held.value.kind === 'results'
        ? null
        : `“${file.name}” is a practical, not results that were handed in.`
    setRefused((before) => {
      const after = new Map(before)
      if (why === null) after.delete(file.name)
      else after.set(file.name, why)
      return after
    })
    if (!held.ok || held.value.kind !== 'results') return
    const { results: taken } = held.value
    // The latest of a learner’s files counts.
    setResults((before) =>
      [
        ...before.filter((one) => one.practical !== taken.practical || one.learner !== taken.learner),
        taken,
      ].sort((p, q) => p.learner.localeCompare(q.learner, 'en', { numeric: true })),
    )
  }
  const withinC = markWithinC(rules, rules.meltRate.target)
  const eye = eyeOf(results.flatMap(({ tubes }) => tubes.filter((tube) => tube !== null)))
  return (
    <section aria-labelledby="class-results">
      <h2 id="class-results">
        The class
        {results.length > 0 ? `, ${results.length} ${results.length === 1 ? 'sheet' : 'sheets'}` : ''}
      </h2>
      <p className="quiet">The files that learners saved when they handed in. You can choose many at once.</p>
      <FileButton
        name="Results handed in"
        accept=".json,application/json"
        multiple
        onFile={(file) => void take(file)}
      >
        Read the results
      </FileButton>
      {[...refused].map(([name, why]) => (
        <p key={name} className="look" role="alert">
          {why}
        </p>
      ))}
      {results.length > 0 && (
        <>
          <EyeDrawing eye={eye} withinC={withinC} label="The class" />
          <p>
            {eyeSentence(eye, withinC)
              .replace(/^You mark/, 'They mark')
              .replace('; you mark', '; they mark')}
          </p>
          <ResultsTable table={resultsTable(results)} />
        </>
      )}
    </section>
  )
}
