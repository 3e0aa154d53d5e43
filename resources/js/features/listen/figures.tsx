import type { FeelReading, Hearing } from '../../api/types'

const WIDTH = 252
const HEIGHT = 108
/** Narrower than that, it all shrinks: nothing of it is cut off. */
const BOX = `0 0 ${WIDTH} ${HEIGHT}`
const PAD = 26

/** The tempo bar by bar. */
export function TempoFigure({ reading }: { reading: FeelReading }) {
  const tempos = reading.bar_tempos
  const low = Math.min(...tempos, reading.tempo_bpm - 1.5)
  const high = Math.max(...tempos, reading.tempo_bpm + 1.5)
  const toX = (bar: number) => PAD + 8 + (tempos.length < 2 ? 0 : (bar / (tempos.length - 1)) * (WIDTH - PAD - 16))
  const toY = (bpm: number) => 8 + ((high - bpm) / (high - low)) * (HEIGHT - 24)
  const drift = reading.drift_bpm_per_min
  return (
    <section>
      <h3>
        Tempo <span className="muted">bar by bar</span>
      </h3>
      <svg width={WIDTH} height={HEIGHT} viewBox={BOX} role="img" aria-label={`${reading.tempo_bpm.toFixed(1)} beats a minute on average`}>
        {[high, low].map((bpm) => (
          <g key={bpm}>
            <line x1={PAD + 4} x2={WIDTH} y1={toY(bpm)} y2={toY(bpm)} className="slot-line solid" />
            <text x={PAD} y={toY(bpm) + 4} className="figure-word end">
              {Math.round(bpm)}
            </text>
          </g>
        ))}
        <line x1={PAD + 4} x2={WIDTH} y1={toY(reading.tempo_bpm)} y2={toY(reading.tempo_bpm)} className="gauge-planned" />
        <path d={`M${tempos.map((bpm, bar) => `${toX(bar).toFixed(1)} ${toY(bpm).toFixed(1)}`).join('L')}`} className="figure-line" />
        {tempos.length < 40 && tempos.map((bpm, bar) => <circle key={bar} cx={toX(bar)} cy={toY(bpm)} r={2} className="figure-dot" />)}
        <text x={PAD + 8} y={HEIGHT - 1} className="figure-word">
          bar 1
        </text>
        <text x={WIDTH} y={HEIGHT - 1} className="figure-word end">
          {tempos.length}
        </text>
      </svg>
      <p className="figure-big">{reading.tempo_bpm.toFixed(1)} on average</p>
      <p className="muted">
        {Math.abs(drift) < 0.5 ? 'It stands.' : `It ${drift > 0 ? 'rises' : 'falls'} by ${Math.abs(drift).toFixed(1)} a minute.`} Strokes
        scatter by {Math.round(reading.scatter_ms)} ms.
      </p>
    </section>
  )
}

const [LOW, HIGH] = [0.44, 0.78]
const BINS = 34
const MOST_BOXES = 14

/** Where the off-beats fall in the beat, one box for each or for a few. */
export function SwingFigure({ reading }: { reading: FeelReading }) {
  const { swing } = reading
  const toX = (share: number) => 6 + ((Math.max(LOW, Math.min(HIGH, share)) - LOW) / (HIGH - LOW)) * (WIDTH - 12)
  const counts = new Array<number>(BINS).fill(0)
  for (const share of swing?.shares ?? []) {
    const bin = Math.max(0, Math.min(BINS - 1, Math.floor(((share - LOW) / (HIGH - LOW)) * BINS)))
    counts[bin] = (counts[bin] ?? 0) + 1
  }
  const each = Math.max(1, Math.ceil(Math.max(...counts) / MOST_BOXES))
  const size = (WIDTH - 12) / BINS
  const slots =
    reading.grid === 1
      ? 'Beats only: nothing between them leans.'
      : reading.grid === 3 || reading.grid === 6
        ? `${reading.grid} to the beat, even.`
        : 'No beat, off-beat and beat in a row to measure between.'
  return (
    <section>
      <h3>
        Swing{' '}
        <span className="muted">
          {swing === null ? '' : `${swing.shares.length} off-beats, place in ${reading.grid === 4 ? 'the half beat' : 'the beat'}`}
        </span>
      </h3>
      <svg
        width={WIDTH}
        height={HEIGHT}
        viewBox={BOX}
        role="img"
        aria-label={swing === null ? slots : `Off-beats at ${(100 * swing.p).toFixed(1)} percent`}
      >
        {swing !== null && (
          <rect
            x={toX(swing.p_low)}
            y={4}
            width={Math.max(2, toX(swing.p_high) - toX(swing.p_low))}
            height={HEIGHT - 34}
            className="swing-interval"
          />
        )}
        {counts.flatMap((count, bin) =>
          Array.from({ length: Math.ceil(count / each) }, (_, box) => (
            <path
              key={`${bin}-${box}`}
              d={`M${6 + bin * size + 1.5} ${HEIGHT - 34 - box * 5.4}h${size - 2.2}l-1 -4.2h-${size - 2.2}z`}
              className="swing-box"
            />
          )),
        )}
        {swing !== null && <line x1={toX(swing.p)} x2={toX(swing.p)} y1={2} y2={HEIGHT - 28} className="gauge-planned" />}
        <line x1={6} x2={WIDTH - 6} y1={HEIGHT - 30} y2={HEIGHT - 30} className="gauge-axis" />
        {[
          [0.5, '50', 'straight'],
          [2 / 3, '66.7', 'triplet'],
          [0.75, '75', 'hard'],
        ].map(([share, figure, word]) => (
          <g key={word}>
            <line x1={toX(Number(share))} x2={toX(Number(share))} y1={HEIGHT - 34} y2={HEIGHT - 26} className="gauge-axis" />
            <text x={toX(Number(share))} y={HEIGHT - 14} className="figure-word middle strong">
              {figure}
            </text>
            <text x={toX(Number(share))} y={HEIGHT - 1} className="figure-word middle">
              {word}
            </text>
          </g>
        ))}
      </svg>
      {swing === null ? (
        <p className="muted">{slots}</p>
      ) : (
        <>
          <p className="figure-big brass">
            {(100 * swing.p).toFixed(1)} %{' '}
            <small>
              between {(100 * swing.p_low).toFixed(1)} and {(100 * swing.p_high).toFixed(1)}, 95 in 100
            </small>
          </p>
          <p className="muted">
            Long to short {swing.ratio.toFixed(2)} to 1{swing.straight ? ': straight' : ''}.{' '}
            {swing.sure ? '' : 'Too few or too scattered to be sure.'}
          </p>
        </>
      )}
    </section>
  )
}

/** Nobody hears less, cents. */
const IN_TUNE = 3

/** How far from A = 440 the guitar is tuned, and what lies nearest. */
export function TuningFigure({ tuning }: { tuning: Hearing['tuning'] }) {
  const toX = (cents: number) => WIDTH / 2 + (cents / 50) * (WIDTH / 2 - 16)
  const cents = tuning === null ? 0 : Math.round(tuning.cents)
  return (
    <section>
      <h3>
        Tuning <span className="muted">cents from A = 440</span>
      </h3>
      <svg width={WIDTH} height={HEIGHT} viewBox={BOX} role="img" aria-label={tuning === null ? 'not heard' : `${cents} cents`}>
        <line x1={16} x2={WIDTH - 16} y1={HEIGHT - 30} y2={HEIGHT - 30} className="gauge-axis" />
        {[-50, -25, 0, 25, 50].map((tick) => (
          <line key={tick} x1={toX(tick)} x2={toX(tick)} y1={HEIGHT - 34} y2={HEIGHT - 26} className="gauge-axis" />
        ))}
        {[
          [-50, '−50', 'flat'],
          [0, '0', 'in tune'],
          [50, '+50', 'sharp'],
        ].map(([tick, figure, word]) => (
          <g key={word}>
            <text x={toX(Number(tick))} y={HEIGHT - 14} className="figure-word middle strong">
              {figure}
            </text>
            <text x={toX(Number(tick))} y={HEIGHT - 1} className="figure-word middle">
              {word}
            </text>
          </g>
        ))}
        {tuning !== null && (
          <>
            <rect
              x={Math.min(toX(0), toX(cents))}
              y={40}
              width={Math.abs(toX(cents) - toX(0))}
              height={HEIGHT - 70}
              className="tuning-off"
            />
            <line x1={toX(cents)} x2={toX(cents)} y1={14} y2={HEIGHT - 26} className="gauge-played" />
            <path d={`M${toX(cents)} 26l7 -12h-14z`} className="tuning-mark" />
          </>
        )}
      </svg>
      {tuning === null ? (
        <p className="muted">Too little rings to tell the tuning.</p>
      ) : (
        <>
          <p className="figure-big">
            {Math.abs(cents) <= IN_TUNE ? 'In tune' : `${Math.abs(cents)} cents ${cents > 0 ? 'sharp' : 'flat'}`}
          </p>
          <p className="muted">
            Nearest: {tuning.near.map(({ name }) => name).join(' or ')}.{' '}
            {Math.abs(cents) >= 12 ? 'Tune to the recording to play along.' : ''}
          </p>
        </>
      )}
    </section>
  )
}
