import { Segmented, Select } from 'antd'
import { useState, type ReactNode } from 'react'
import { useNeckMap, type NeckWish } from '../../api/queries'
import type { DoubleStop, NeckMap, VoicedChord } from '../../api/types'
import { hearNotes } from '../../audio/hearGrip'
import { gripText } from '../../ui/gripText'
import { Drawing } from '../../ui/Drawing'
import { LongNeck, useLongNeck } from '../../ui/LongNeck'
import { useDocument } from '../bench/benchContext'

const SCALES = [
  { value: 'key', label: 'the whole key' },
  { value: 'major-pentatonic', label: 'major pentatonic' },
  { value: 'minor-pentatonic', label: 'minor pentatonic' },
]
const KINDS = { both: 'both chord tones', one: 'one and a colour', passing: 'passing' } as const

/** What lies around the grips of a chord: its double stops string pair by string pair, or the notes for fills. */
export function NeckMapSheet({ chord, strings }: { chord: VoicedChord; strings: number }) {
  const document = useDocument()
  const [view, setView] = useState<'stops' | 'fills'>('stops')
  const [pair, setPair] = useState('2-1')
  const [asked, setAsked] = useState<DoubleStop['interval']>('third')
  const [scale, setScale] = useState<NeckWish['scale']>('minor-pentatonic')
  const map = useNeckMap(document, chord.symbol, scale, chord.voicing.position).data
  const pairs = [...new Set(map?.stops.map((stop) => stop.strings.join('-')))]
  const onPair = map?.stops.filter((stop) => stop.strings.join('-') === pair) ?? []
  const intervals = [...new Set(onPair.map((stop) => stop.interval))].sort().reverse()
  const interval = intervals.includes(asked) ? asked : intervals[0]
  const stops = onPair.filter((stop) => stop.interval === interval)

  return (
    <section className="neck-map" aria-label="Neck map">
      <div className="station-head">
        <h2>
          {view === 'stops' ? 'Double stops' : 'Fills'} on {chord.symbol}
        </h2>
        <p className="muted">{view === 'stops' ? 'press one to hear it' : `around the grip ${gripText(chord.voicing.frets)}`}</p>
        <div className="title-actions">
          <Segmented
            aria-label="Map of"
            options={[
              { value: 'stops', label: 'Double stops' },
              { value: 'fills', label: 'Fills' },
            ]}
            value={view}
            onChange={setView}
          />
          {view === 'stops' ? (
            <>
              {intervals.length > 1 && (
                <Segmented
                  aria-label="Interval"
                  options={intervals.map((value) => ({ value, label: `${value}s` }))}
                  value={interval ?? 'third'}
                  onChange={setAsked}
                />
              )}
              <Select
                aria-label="String pair"
                value={pair}
                options={pairs.map((value) => ({ value, label: `strings ${value.replace('-', ' and ')}` }))}
                onChange={setPair}
                style={{ width: 148 }}
              />
            </>
          ) : (
            <Select aria-label="Scale of the fills" value={scale} options={SCALES} onChange={setScale} style={{ width: 160 }} />
          )}
        </div>
      </div>
      <Drawing name="the neck">
        <LongNeck strings={strings} className="map-neck">
          {view === 'stops'
            ? stops.map((stop) => <Stop key={stop.midi.join()} stop={stop} strings={strings} />)
            : map !== undefined && <Fills map={map} strings={strings} />}
        </LongNeck>
      </Drawing>
      {view === 'stops' ? (
        <>
          <p className="legend">
            {(Object.keys(KINDS) as (keyof typeof KINDS)[]).map((kind) => (
              <span key={kind}>
                <i className={`key-stop ${kind}`} /> {KINDS[kind]}: {stops.filter((stop) => stop.kind === kind).length}
              </span>
            ))}
          </p>
          <StopList stops={stops} />
        </>
      ) : (
        <p className="legend">
          <span>
            <i className="key-stop both" /> chord tone
          </span>
          <span>
            <i className="key-stop passing" /> between
          </span>
          <span>
            <i className="key-stop fights" /> fights the chord: pass, do not stay
          </span>
        </p>
      )}
    </section>
  )
}

function Stop({ stop, strings }: { stop: DoubleStop; strings: number }) {
  const { x, y } = useLongNeck(strings)
  const places = stop.strings.map((number, index) => ({
    x: x(stop.frets[index] ?? 0),
    y: y(strings - number),
    degree: stop.degrees[index] ?? '',
  }))
  const [low, high] = places
  if (low === undefined || high === undefined) return null
  return (
    <g className={`stop ${stop.kind}`}>
      <Pressed label={`${stop.notes.join(' and ')}, ${stop.interval}, ${KINDS[stop.kind]}`} midi={stop.midi}>
        <line x1={low.x} y1={low.y} x2={high.x} y2={high.y} />
        {places.map((place) => (
          <rect key={place.y} x={place.x - 12} y={place.y - 8} width={24} height={16} rx={place.degree === 'R' ? 0 : 8} />
        ))}
      </Pressed>
      {places.map((place) => (
        <text key={place.y} aria-hidden="true" x={place.x} y={place.y + 4}>
          {place.degree}
        </text>
      ))}
    </g>
  )
}

function Fills({ map, strings }: { map: NeckMap; strings: number }) {
  const { x, y } = useLongNeck(strings)
  return map.fills.map((fill) => (
    <g key={`${fill.string}-${fill.fret}`} className={`stop ${fill.fights ? 'fights' : fill.chord_tone ? 'both' : 'passing'}`}>
      <Pressed
        label={`${fill.degree} on string ${fill.string}, ${fill.fret === 0 ? 'open' : `fret ${fill.fret}`}${fill.fights ? ', fights the chord' : ''}`}
        midi={[fill.midi]}
      >
        <rect x={x(fill.fret) - 12} y={y(strings - fill.string) - 8} width={24} height={16} rx={fill.degree === 'R' ? 0 : 8} />
      </Pressed>
      <text aria-hidden="true" x={x(fill.fret)} y={y(strings - fill.string) + 4}>
        {fill.degree}
      </text>
    </g>
  ))
}

/** What sounds when it is pressed, with the mouse or by key. */
function Pressed({ label, midi, children }: { label: string; midi: number[]; children: ReactNode }) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      onClick={() => void hearNotes(midi)}
      onKeyDown={(event) => ['Enter', ' '].includes(event.key) && void hearNotes(midi)}
    >
      {children}
    </g>
  )
}

/** The best of them in words, with the hammer-ons that fit. */
function StopList({ stops }: { stops: DoubleStop[] }) {
  return (
    <ul className="stop-list">
      {stops
        .filter((stop) => stop.kind !== 'passing')
        .slice(0, 8)
        .map((stop) => (
          <li key={stop.frets.join()}>
            <b>{stop.frets.join(' ')}</b>
            <span>
              {stop.notes.join(' ')} = {stop.degrees.join(' ')}, {stop.interval}
            </span>
            <span className="muted">
              {stop.hammers.length === 0
                ? ''
                : `hammer ${stop.hammers.map((hammer) => `${hammer.from}→${hammer.to} on string ${hammer.string}`).join(', ')}`}
            </span>
          </li>
        ))}
    </ul>
  )
}
