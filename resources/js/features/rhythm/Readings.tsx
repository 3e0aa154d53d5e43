import { Button } from 'antd'
import type { PatternReading } from '../../api/types'
import { HandWave } from '../../ui/HandWave'

type Props = {
  readings: PatternReading[]
  chosen: number
  width: number
  onChoose: (index: number) => void
  onTake: (reading: PatternReading) => void
}

/** Ways to hear a rhythm that was played, each as the hand would play it. */
export function Readings({ readings, chosen, width, onChoose, onTake }: Props) {
  return (
    <ul role="listbox" aria-label="Ways to hear it">
      {readings.map((reading, index) => (
        <li
          key={reading.words + reading.counted}
          role="option"
          aria-selected={index === chosen}
          className={index === chosen ? 'chosen' : ''}
          onClick={() => onChoose(index)}
          onDoubleClick={() => onTake(reading)}
        >
          <div className="school-words">
            <b>{reading.words}</b>
            <small>{reading.counted}</small>
            <small className="muted">
              taps within {Math.round(reading.spread_ms)} ms,{' '}
              {reading.shift_ms === 0
                ? 'on the click'
                : `all ${Math.round(Math.abs(reading.shift_ms))} ms ${reading.shift_ms > 0 ? 'late' : 'early'}`}
              {reading.left_out > 0 && `; ${reading.left_out} found no place`}
            </small>
            {index === chosen && (
              <Button size="small" type="primary" onClick={() => onTake(reading)}>
                Take it <kbd className="on-ink">Enter</kbd>
              </Button>
            )}
          </div>
          <HandWave sketch={reading.sketch} fromBeat={0} toBeat={reading.sketch.beats} width={Math.max(300, width - 310)} height={92} />
        </li>
      ))}
    </ul>
  )
}
