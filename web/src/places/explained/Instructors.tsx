import css from './Instructors.module.css'
import { useHouseRules } from '../../parts/useHouseRules'
import { Link, useParams } from 'react-router'
import { authenticWithinC, RANK_OPTIONS } from '@ivory-crystal/core'
import { fixed } from '../../format/format'
import { Title } from '../../parts/Title'

/** How the reasoning works and where it fails, for those who answer for it. */
export function Instructors() {
  const { notebook } = useParams()
  const home = `/n/${notebook ?? ''}`
  const rules = useHouseRules()
  const o = RANK_OPTIONS
  return (
    <>
      <Title title="For instructors" aside="how the reasoning works, and where it fails" />
      <div className={css.prose}>
        <h2>Purity: the order of the argument</h2>
        <ol>
          <li>What heating rate, fill and grain add is taken off, once.</li>
          <li>
            The width is held against the house rules: sharp to {fixed(rules.sharpWidthC, 1)} °C, broad over{' '}
            {fixed(rules.broadWidthC, 1)} °C.
          </li>
          <li>
            Both ends are held against the literature (within {fixed(rules.literatureWithinC, 1)} °C), or
            against an authentic sample of the same run (within {fixed(authenticWithinC(rules), 1)} °C: two
            readings of ± {fixed(rules.readingErrorC, 1)} °C).
          </li>
          <li>
            Decomposition makes it “cannot tell”; a solid that never melts makes it “impure”. A mixed melt
            that came out lower and broader makes it “not this compound”, whatever the range looks like.
          </li>
          <li>
            A plate can take “consistent with pure” down: a second spot to “nearly pure”, another height than
            the authentic sample’s to “cannot tell”, unless a mixed melt has spoken.
          </li>
          <li>What to do next is ordered by what it would tell, then by the minutes it takes.</li>
        </ol>
        <p>
          The thresholds are house rules: <Link to={`${home}/instruments/rules`}>change them there</Link>. A
          signed verdict keeps those it was signed under.
        </p>

        <h2>Identity: what is taken for granted</h2>
        <table className="lines">
          <tbody>
            <Row
              what="a compound nobody listed, before anything is measured"
              value={`${fixed(100 * o.unlistedPrior, 0)} %, melting anywhere in ${fixed(o.unlistedSpanC, 0)} °C`}
            />
            <Row what="the listed ones" value="all alike" />
            <Row
              what="impurity lowers the clear point by, on average"
              value={`${fixed(o.depressionMeanC, 1)} °C`}
            />
            <Row
              what="standard error of a clear point"
              value={`${fixed(o.sigmaC, 1)} °C; 3.0 after a scouting run alone`}
            />
            <Row
              what="the phase relation is off by, in mixtures of two"
              value={`${fixed(o.mixtureSigmaC, 1)} °C`}
            />
            <Row
              what="chance that two compounds show no depression"
              value={`${fixed(100 * o.noDepressionChance, 0)} %`}
            />
            <Row
              what="chance that a mixed run went wrong altogether"
              value={`${fixed(100 * o.mishapChance, 0)} %`}
            />
            <Row what="fusion enthalpy where none is known" value="Walden’s rule, labelled" />
          </tbody>
        </table>

        <h2>Where it fails, and how you notice</h2>
        <ul>
          <li>
            <b>“Not on the list” comes late.</b> One depressed mixture for every candidate leaves a few per
            cent for it, since a mishap is thought likelier than an incomplete list. The page says that
            nothing else fits; repeating the mixture decides it.
          </li>
          <li>
            <b>Solid solutions and isomorphous pairs</b> show no depression. Choose candidates for an exercise
            so that their mixtures do: the Mixtures page warns where they would not.
          </li>
          <li>
            <b>Polymorphs, solvates and hydrates</b> melt where the literature does not say. Damp looks like
            impurity.
          </li>
          <li>
            <b>Insoluble dirt</b> is invisible to a range. So is a second compound below about 1 mol %: a
            plate may see it.
          </li>
          <li>
            <b>The literature values</b> shipped here are general ones. A wrong one misleads both judging and
            ranking; put your own on the <Link to={`${home}/shelf`}>shelf</Link>, with their source.
          </li>
          <li>
            <b>A thermometer nobody checked</b> may own 1.5 °C and more of every reading, either way, and no
            bound on impurity is given on it. Side by side with an authentic sample it cancels: make that the
            rule of the lab and most of the doubts go.
          </li>
          <li>
            <b>Too fast, too full, not dried</b>: then what looks impure may be the measurement, and the
            verdict is “cannot tell” with the repeat that would mend it. How long air dries depends on the
            solvent: 5 min for what boils below 50 °C, 15 below 70, 60 below 90; above that constant mass
            shows it. Typical values; your lab’s own rule goes first.
          </li>
          <li>
            <b>By eye</b> equal parts are not equal. It hardly matters for “same or different”, and much for a
            map.
          </li>
        </ul>

        <h2>Handing out unknowns</h2>
        <p>
          Open a case, list what is allowed, and seal the answer. It goes to this server and into no notebook;
          what the notebook holds is a hash of it, which shows afterwards that it was not changed. It opens
          once a signed verdict of that case stands, and the notebook shows whether it was opened before. It
          is no protection from somebody who can read the server’s data folder. A notebook file carried to
          another computer leaves its sealed answers behind. The first answer sealed for a case stands.
        </p>
        <p>
          A simulated instrument melts what was sealed, at the purity you give, so that a case can be
          rehearsed. What it shows is simulated, and labelled so.
        </p>
        <h2>What it never does</h2>
        <p>
          It does not tell a watcher what a tube will do while it is watched. It does not drop a
          determination, hide a struck line, or call two like ranges one compound. Every number leads back to
          the presses of keys it came from.
        </p>
        <p>
          The equations stand on <Link to={`${home}/explained#judgeRange`}>How it is worked out</Link>.
        </p>
      </div>
    </>
  )
}

function Row({ what, value }: { what: string; value: string }) {
  return (
    <tr>
      <td>{what}</td>
      <td className="num">{value}</td>
    </tr>
  )
}
