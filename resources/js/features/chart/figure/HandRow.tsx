import { Button } from 'antd'

type Props = {
  hands: number[]
  near: number | null
  onNear: (near: number | null) => void
  octave: number
  onOctave: (octave: number) => void
}

/** Where the hand is for a figure, and in which octave. */
export function HandRow({ hands, near, onNear, octave, onOctave }: Props) {
  return (
    <>
      <span className="label">Hand</span>
      <Button size="small" type={near === null ? 'primary' : 'default'} aria-pressed={near === null} onClick={() => onNear(null)}>
        where the grip is
      </Button>
      {hands.map((fret) => (
        <Button
          key={fret}
          size="small"
          type={near === fret ? 'primary' : 'default'}
          aria-pressed={near === fret}
          onClick={() => onNear(fret)}
        >
          fret {fret}
        </Button>
      ))}
      <span className="label">Octave</span>
      <Button size="small" aria-label="An octave lower" disabled={octave <= -2} onClick={() => onOctave(octave - 1)}>
        −
      </Button>
      <span>{octave === 0 ? 'as typed' : octave > 0 ? `${octave} up` : `${-octave} down`}</span>
      <Button size="small" aria-label="An octave higher" disabled={octave >= 2} onClick={() => onOctave(octave + 1)}>
        +
      </Button>
    </>
  )
}
