import { Button } from 'antd'

type Props = { onMeasure: () => void; onWithout: () => void; onLater: () => void }

/** Asked once, before the first take by microphone. */
export function DelayOffer({ onMeasure, onWithout, onLater }: Props) {
  return (
    <div className="empty" role="alertdialog" aria-label="The delay was never measured">
      <h2>How late is this microphone?</h2>
      <p>
        Every device reports a little late, and what a report says of early and late hangs on that. Measuring takes half a minute, once for
        this device. Without it spread and swing are right all the same.
      </p>
      <div className="button-row">
        <Button type="primary" autoFocus onClick={onMeasure}>
          Measure the delay
        </Button>
        <Button onClick={onWithout}>Record without it</Button>
        <Button onClick={onLater}>Not now</Button>
      </div>
    </div>
  )
}
