import { type Eye, eyeSentence, markWithinC } from '@ivory-crystal/core/practice'
import { DRAWN_MOST, EyeDrawing } from '../../drawings/EyeDrawing'
import { fixed } from '../../format/format'
import { useHouseRules } from '../../parts/useHouseRules'

/** One’s own eye over all tubes so far. */
export function YourEye({ eye }: { eye: Eye }) {
  const rules = useHouseRules()
  const withinC = markWithinC(rules, rules.meltRate.target)
  return (
    <section aria-labelledby="your-eye">
      <h2 id="your-eye">
        Your eye{eye.tubes > 0 ? `, over ${eye.tubes} ${eye.tubes === 1 ? 'tube' : 'tubes'}` : ''}
      </h2>
      {eye.tubes > 0 && <EyeDrawing eye={eye} withinC={withinC} label="Your eye" />}
      <p className="mt-2 mb-1">{eyeSentence(eye, withinC)}</p>
      {eye.tubes > 0 && (
        <p className="quiet">
          The band is the limit of the house rules, {fixed(withinC, 2)} °C. The vertical line is your mean.
          Hollow marks lie beyond the scale.
          {eye.tubes > DRAWN_MOST ? ` The last ${DRAWN_MOST} are drawn; the mean is over all.` : ''}
        </p>
      )}
    </section>
  )
}
