import type { PanItem } from '@ivory-crystal/core/practice'

/** What stands on the pan: nothing, a boat by its number, and crystals in it. */
export function PanDrawing({ on }: { on: PanItem }) {
  const number = on.startsWith('boat 1') ? '1' : '2'
  return (
    <svg
      width="100%"
      viewBox="0 0 300 92"
      style={{ maxWidth: 340 }}
      className="d-block"
      role="img"
      aria-label={`On the pan: ${on}`}
    >
      <path d="M20 72H280" stroke="var(--ink)" strokeWidth="3" />
      <path d="M120 72q30 16 60 0" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      {on !== 'nothing' && (
        <>
          {on === 'boat 2 with crystals' && (
            <path
              d="M112 46l14 -11 9 5 12 -10 10 9 13 -6 9 8 10 5Z"
              fill="#e3c96b"
              stroke="#8d7430"
              strokeLinejoin="round"
            />
          )}
          <path d="M92 46H208L192 69H108Z" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
          <text x="150" y="63" fontSize="14" fontWeight="700" textAnchor="middle" fill="var(--ink)">
            {number}
          </text>
        </>
      )}
    </svg>
  )
}
