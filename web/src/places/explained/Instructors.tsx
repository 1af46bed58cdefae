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
          simulated: the queues, and when everybody finishes.
        </p>
        <h2>Purity: what explains each degree</h2>
        <ol>
          <li>
            First come the findings that decide alone: a mixed melt lower and broader, a solid that never
            melts, tubes that scatter, decomposition without an authentic sample beside it.
          </li>
          <li>
            Causes explain the width of the range and its distance from the literature, each at least and at
            most. They are heating at the measured rate, melting through, the thermometer, marks of ±{' '}
            {fixed(rules.readingErrorC, 1)} °C, solvent until it is shown dry, and an onset seen late. What no
            other cause can explain comes from the sample.
          </li>
          <li>
            The rest is compared with the house rules. A range is sharp up to {fixed(rules.sharpWidthC, 1)} °C
            and broad over {fixed(rules.broadWidthC, 1)} °C. It is in place within{' '}
            {fixed(rules.literatureWithinC, 1)} °C of the literature, or within{' '}
            {fixed(twoReadingsC(rules), 1)} °C of an authentic sample of the same run.
          </li>
          <li>
            If the result could fall on either side of a limit and something can be improved, the verdict is
            “cannot tell” and the improvement comes first. The sample is purified again only for degrees that
            no other cause can explain.
          </li>
          <li>
            A plate (TLC) can lower “consistent with pure”. A second spot makes it “nearly pure”. An Rf
            different from the authentic sample makes it “cannot tell”, unless a mixed melt has decided.
          </li>
          <li>The other steps are ordered by how many degrees of doubt they remove per minute.</li>
        </ol>
        <p>
          The thresholds are house rules: <Link to={`${home}/instruments/rules`}>change them there</Link>. A
          signed verdict keeps the rules it was signed under.
        </p>

        <h2>Identity: what is assumed</h2>
        <table className="lines">
          <tbody>
            <Row
              what="a compound not on the list, before any measurement"
              value={`${fixed(100 * (rules.unlistedPrior ?? o.unlistedPrior), 0)} %, within ${fixed(o.unlistedSpanC, 0)} °C`}
            />
            <Row what="the listed compounds" value="equally likely" />
            <Row
              what="mean lowering of the clear point by impurity, beyond the width"
              value={`${fixed(o.depressionMeanC, 1)} °C`}
            />
            <Row
              what="standard error of a clear point on a checked thermometer"
              value="0.7 °C; 1.2 never checked; 3.0 scouting"
            />
            <Row
              what="error of the phase relation, in mixtures of two"
              value={`${fixed(o.mixtureSigmaC, 1)} °C`}
            />
            <Row
              what="chance that two compounds show no depression"
              value={`${fixed(100 * o.noDepressionChance, 1)} %`}
            />
            <Row what="chance that a mixed run went wrong" value={`${fixed(100 * o.mishapChance, 0)} %`} />
            <Row what="fusion enthalpy if not known" value="Walden’s rule, labelled" />
          </tbody>
        </table>

        <h2>How well your list works</h2>
        <ReliabilityPart home={home} />

        <h2>Where it fails, and how you notice</h2>
        <ul>
          <li>
            <b>“Not on the list”</b> means a compound that is assumed to mix like those on the list. Your lab
            sets how often that happens, in the house rules. With a wrong figure such compounds are recognised
            too late or too early.
          </li>
          <li>
            <b>Solid solutions and isomorphous pairs</b> show no depression. A plate (TLC) with both in one
            spot is the second opinion, and the app proposes it where this could happen. For an exercise,
            choose candidates whose mixtures do melt lower: the Mixtures page warns where they would not.
          </li>
          <li>
            <b>Polymorphs, solvates and hydrates</b> can melt at temperatures the literature does not give. A
            damp sample looks impure.
          </li>
          <li>
            <b>Insoluble dirt</b> does not show in a range. Nor does a second compound below about 1 mol %,
            which a plate (TLC) could show.
          </li>
          <li>
            <b>The literature values</b> in the app are general ones. A wrong value misleads both judging and
            ranking. Put your own values on the <Link to={`${home}/shelf`}>shelf</Link>, with their source.
          </li>
          <li>
            <b>An unchecked thermometer</b> can be wrong by 1.5 °C or more either way, and no amount of
            impurity is given with it. Beside an authentic sample the error cancels. Make that the rule of the
            lab, and most doubts disappear.
          </li>
          <li>
            <b>Too fast, too full, not dried</b>: the measurement itself can then look like an impurity. The
            verdict is “cannot tell”, with the repeat that would settle it. The drying time in air depends on
            the solvent: 5 min if it boils up to 50 °C, 15 up to 70, and 60 up to 85. Above that, dry to
            constant mass. The steps require the same, and a house rule can only require more.
          </li>
          <li>
            <b>Parts measured by eye</b> are not equal. This hardly matters for “same or different”, but it
            does for a phase map.
          </li>
        </ul>

        <h2>Before anything is heated</h2>
        <p>
          <b>The card under R</b>, on every screen, begins with someone hurt or something burning. Set the
          numbers to call under <Link to={`${home}/instruments`}>Instruments</Link>, house rules. There you
          also name compounds and solvents that are not allowed. Both apply whichever set of rules a notebook
          uses.
        </p>
        <p>
          Some compounds are fatal in small amounts, or known to harm genes, fertility or a child or to cause
          cancer. They are planned only after asking the person in charge, and the plan records who was asked.
        </p>
        <p>
          Heat, glassware, cooling, rinse, drying and waste follow from the compound, the solvents and the
          size of the batch. The rules are under{' '}
          <Link to={`${home}/explained#heat`}>How it is calculated</Link>. They are rules of thumb. The app
          recognises a reaction with the solvent only for an anhydride, an acid halide or an open ester of a
          phenol. Then it does not plan it, or stays below 70 °C. It knows only the hazards on the shelf. A
          house procedure you copied earlier keeps its own text.
        </p>

        <h2>Handing out unknowns</h2>
        <p>
          Open a case, list the candidates, and seal the answer. The server stores it outside the notebook.
          The notebook holds only a hash, which shows later that the answer was not changed. It can be opened
          after the verdict of that case is signed, and the notebook shows whether it was opened before. The
          server gives it to nobody before that. A backup includes it only under your instructor’s word (see
          This notebook), encrypted. Anyone who can read the data folder of the server can read it. A notebook
          file moved to another computer does not contain its sealed answers. The first answer sealed for a
          case is the valid one.
        </p>
        <p>
          A simulated instrument melts the sealed compound at the purity you give, so that you can rehearse a
          case. Everything it shows is labelled as simulated.
        </p>
        <h2>How to see whether a notebook was rewritten</h2>
        <p>
          The server detects an entry that was changed, removed, added or moved in the data folder, at every
          start and with <code>npm run verify</code>. If a notebook was rewritten up to its end, or its end
          cut off, only a hash saved elsewhere shows it. Ask students to mail the hash with each page, and
          check it with <code>npm run verify -- --expect=HASH</code>. This does not show who changed
          something, or whether an entry is true.
        </p>
        <h2>What is saved, and what the app asks about</h2>
        <p>
          Nothing is erased. Striking out is a separate entry with its reason, and another entry can take it
          back. A signed verdict based on a struck-out entry says so at its top until it is signed again. The
          app asks about a mass eight times larger or smaller than planned, and about an unexpected reading,
          but saves what was typed. Crude kept back without weighing counts as ±{' '}
          {fixed(100 * PUT_ASIDE_WITHIN, 0)} % of it.
        </p>
        <p>
          If the impurity of a crude is not named, the watch band starts at the lowest temperature at which
          any impurity could show liquid. Fast simulated time ends there, however far below the literature
          that is. Other rules chosen for a melt apply to that melt only. The rules of the notebook change
          only on the house rules page, which shows first what that changes.
        </p>
        <h2>What it never does</h2>
        <p>
          It never tells you what a tube will do while you watch it. It never drops a determination, hides a
          struck-out entry, or calls two equal ranges one compound. Every number can be traced to the key
          presses it came from.
        </p>
        <p>
          The equations are under <Link to={`${home}/explained#judgeRange`}>How it is calculated</Link>.
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
