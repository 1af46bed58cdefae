import css from './Instructors.module.css'
import { useHouseRules } from '../../parts/useHouseRules'
import { Link, useParams } from 'react-router'
import { RANK_OPTIONS } from '@ivory-crystal/core/identity'
import { twoReadingsC } from '@ivory-crystal/core/judging'
import { PUT_ASIDE_WITHIN } from '@ivory-crystal/core/notebook'
import { fixed } from '../../format/format'
import { ReliabilityPart } from './ReliabilityPart'
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
        <p>
          <Link to={`${home}/for-instructors/class`}>Will the class fit?</Link> A day of all benches,
          simulated: queues, and by when everybody is out.
        </p>
        <h2>Purity: a budget of degrees</h2>
        <ol>
          <li>
            What must be said outright: a mixed melt lower and broader, a solid that never melts, tubes that
            scatter, decomposition without an authentic sample beside it.
          </li>
          <li>
            Every degree of the width, and of the distance from the literature, is explained by what may have
            caused it, at least and at most: heating at the rate as measured, melting through, a thermometer
            as it was checked, marks of ± {fixed(rules.readingErrorC, 1)} °C, solvent until it is shown dry,
            an onset seen late. What nothing else can explain is the sample’s.
          </li>
          <li>
            What is left is held against the house’s words: sharp to {fixed(rules.sharpWidthC, 1)} °C, broad
            over {fixed(rules.broadWidthC, 1)} °C, in place within {fixed(rules.literatureWithinC, 1)} °C of
            the literature, or within {fixed(twoReadingsC(rules), 1)} °C of an authentic sample of the same
            run.
          </li>
          <li>
            Where that may fall on either side of a word, and something can be mended, it is “cannot tell” and
            the mending comes first. The sample is treated only for degrees that nothing else can explain.
          </li>
          <li>
            A plate can take “consistent with pure” down: a second spot to “nearly pure”, another height than
            the authentic sample’s to “cannot tell”, unless a mixed melt has spoken.
          </li>
          <li>The other steps follow by the degrees of doubt they take away a minute.</li>
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
              value={`${fixed(100 * (rules.unlistedPrior ?? o.unlistedPrior), 0)} %, within ${fixed(o.unlistedSpanC, 0)} °C`}
            />
            <Row what="the listed ones" value="all alike" />
            <Row
              what="impurity lowers the clear point, beyond what the width says, by on average"
              value={`${fixed(o.depressionMeanC, 1)} °C`}
            />
            <Row
              what="standard error of a clear point on a checked thermometer"
              value="0.7 °C; 1.2 never checked; 3.0 scouting"
            />
            <Row
              what="the phase relation is off by, in mixtures of two"
              value={`${fixed(o.mixtureSigmaC, 1)} °C`}
            />
            <Row
              what="chance that two compounds show no depression"
              value={`${fixed(100 * o.noDepressionChance, 1)} %`}
            />
            <Row
              what="chance that a mixed run went wrong altogether"
              value={`${fixed(100 * o.mishapChance, 0)} %`}
            />
            <Row what="fusion enthalpy where none is known" value="Walden’s rule, labelled" />
          </tbody>
        </table>

        <h2>How a list of yours would fare</h2>
        <ReliabilityPart home={home} />

        <h2>Where it fails, and how you notice</h2>
        <ul>
          <li>
            <b>“Not on the list”</b> is taken to mix as those on the list would. How often that happens is
            your lab’s own figure, in the house rules: set it, or strangers come too late or too early.
          </li>
          <li>
            <b>Solid solutions and isomorphous pairs</b> show no depression; a co-spot on a plate is the
            second opinion, and is proposed where one could be at work. Choose candidates for an exercise so
            that their mixtures do: the Mixtures page warns where they would not.
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
            solvent: 5 min for what boils up to 50 °C, 15 up to 70, 60 up to 85; above that constant mass
            shows it. The steps ask for the same, and a house rule can only ask for more.
          </li>
          <li>
            <b>By eye</b> equal parts are not equal. It hardly matters for “same or different”, and much for a
            map.
          </li>
        </ul>

        <h2>Before anything is heated</h2>
        <p>
          <b>The card under R</b>, on every screen, begins with someone hurt or something burning. Whom to
          call is yours to set under <Link to={`${home}/instruments`}>Instruments</Link>, house rules; there
          you also close compounds and solvents that no plan may use. Either holds whichever set of rules a
          notebook goes by.
        </p>
        <p>
          What is fatal in small amounts, or known to cause cancer or to harm genes, fertility or a child, is
          planned only after somebody in charge was asked; the plan keeps who.
        </p>
        <p>
          Heat, glass, cold, rinse, drying and waste follow from the compound, the solvents and the size of
          the batch, by the rules under <Link to={`${home}/explained#heat`}>How it is worked out</Link>. They
          are rules of the bench. A reaction is only seen where the structure shows an anhydride, an acid
          halide or an open ester of a phenol, and then it is not planned, or held at 70 °C; a hazard only
          where the shelf has it. A house procedure you copied earlier keeps its own words.
        </p>

        <h2>Handing out unknowns</h2>
        <p>
          Open a case, list what is allowed, and seal the answer. It goes to this server and into no notebook;
          what the notebook holds is a hash of it, which shows afterwards that it was not changed. It opens
          once a signed verdict of that case stands, and the notebook shows whether it was opened before. No
          address of the server gives it out before, and a backup leaves it out unless it is made under your
          word (under This notebook): then it goes along, encrypted. It is no protection from somebody who can
          read the server’s data folder. A notebook file carried to another computer leaves its sealed answers
          behind. The first answer sealed for a case stands.
        </p>
        <p>
          A simulated instrument melts what was sealed, at the purity you give, so that a case can be
          rehearsed. What it shows is simulated, and labelled so.
        </p>
        <h2>Whether a notebook was rewritten</h2>
        <p>
          A line that is changed, taken out, put in or moved in the data folder is seen by itself, at every
          start of the server and by npm run verify. A history that is written anew from some line to its end,
          or whose end is cut off, is seen only by a hash that was kept elsewhere: have it mailed with each
          page that is handed in, and look for it with npm run verify -- --expect=HASH. It does not tell who
          changed something, and it does not tell whether what was written was true.
        </p>
        <h2>What is kept, and what is asked about</h2>
        <p>
          Nothing is erased. Striking out is an entry of its own with its reason, and a further entry can take
          it back. A signed verdict whose entries were struck out says so at its top until it is judged again.
          A mass eight times off its plan, or a reading the model of the heating does not expect, is asked
          about and kept as it was typed. What was put aside unweighed counts as ±{' '}
          {fixed(100 * PUT_ASIDE_WITHIN, 0)} % of it.
        </p>
        <p>
          A crude whose impurity has no name is watched from the lowest temperature at which some impurity
          could show liquid, and hurried time ends there, however far below the literature it lies. A school
          taken at a melt is for that melt alone; the notebook’s own rules change only among the house rules,
          with what that alters shown first.
        </p>
        <h2>What it never does</h2>
        <p>
          It does not tell a watcher what a tube will do while it is watched. It does not drop a
          determination, hide a struck-out entry, or call two like ranges one compound. Every number leads
          back to the presses of keys it came from.
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
      <td className="text-end">{value}</td>
    </tr>
  )
}
