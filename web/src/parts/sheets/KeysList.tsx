import Modal from 'react-bootstrap/Modal'

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Space', 'the next step: ticks it, or presses the filled button'],
  ['Enter', 'in a number field: go to the next empty field, then record the form'],
  ['R', 'someone is hurt, something burns, or something went wrong: what to do, on every screen'],
  ['B', 'the simulated balance sends its reading, while you weigh with it'],
  ['← →', 'move the volume, when its mark is chosen'],
  ['Q W E', 'while a melt is watched: early sign in tube 1, 2, 3 (as many as are seen)'],
  ['A S D', 'first liquid in tube 1, 2, 3'],
  ['Z X C', 'all liquid in tube 1, 2, 3'],
  ['Backspace', 'strike out the last mark'],
  ['M', 'mute or unmute the sounds'],
  ['← →', 'move a chosen end of a melt on its light by 0.1 °C'],
  ['← →', 'move composition or temperature on the phase map, when its slider is chosen'],
  ['H', 'simulated time runs faster, or in real time'],
  ['↑ ↓', 'in practice: dial or flame up and down'],
  ['1 2 3 4 S P', 'in practice: hot portion, swirl, on or off the plate'],
  ['T', 'in practice: tare the balance'],
  ['?', 'this list'],
]

/** The keys the app answers to. */
export function KeysList({ onHide }: { onHide: () => void }) {
  return (
    <Modal show onHide={onHide} aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="keys-title">
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <table className="lines">
          <tbody>
            {KEYS.map(([keys, does]) => (
              <tr key={does}>
                <td>
                  {keys.split(' ').map((key) => (
                    <kbd key={key} className="key me-1">
                      {key}
                    </kbd>
                  ))}
                </td>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Modal.Body>
    </Modal>
  )
}
