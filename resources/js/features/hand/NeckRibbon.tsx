import { useState } from 'react'
import { usePath } from '../../api/queries'
import type { VoicedChord } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { gripText } from '../../ui/gripText'
import { neckScale, neckWindow } from '../../ui/neckGeometry'
import { useNeckView } from '../../ui/neckView'
import { useBench } from '../bench/benchContext'

const NECK = 860
const GAP = 15

/** Now, and what comes next, in one neck: filled is now, framed is next. */
export function NeckRibbon() {
  const { desk, timeline } = useBench()
  const chords = usePath(desk).data?.chords ?? []
  const [now, setNow] = useState(0)
  const view = useNeckView()
  useBandFrames(() => {
    const at = band.position()
    const index =
      at === null || timeline === undefined ? 0 : (timeline.chords.find((chord) => chord.t <= at.t && at.t < chord.until)?.written ?? 0)
    setNow(Math.max(0, index))
  })
  const current = chords[now]
  const next = chords[(now + 1) % Math.max(1, chords.length)]
  if (current === undefined || next === undefined) return null
  const strings = current.voicing.frets.length
  const height = 12 + strings * GAP + 12
  const window = neckWindow(chords.map((chord) => chord.voicing.frets))
  const { wireX, tipX, openX, between, row } = neckScale(window, NECK, view)
  const y = (string: number) => 12 + row(string, strings) * GAP
  const [top, bottom] = [12, 12 + (strings - 1) * GAP]
  const x = (fret: number) => 34 + (fret === 0 ? openX(10) : tipX(fret))
  const fretted = current.voicing.frets.filter((fret): fret is number => fret !== null && fret > 0)
  const hand = fretted.length === 0 ? null : ([Math.min(...fretted), Math.max(...fretted)] as const)
  const frets = Array.from({ length: window.last - window.first + 1 }, (_, index) => window.first + index)
  return (
    <section className="ribbon" aria-label="Neck">
      <div className="station-head">
        <h2>Neck</h2>
        <p className="muted">
          {view.high_on_top ? 'as on paper: high string on top' : 'as in a mirror: low string on top'}
          {hand === null ? '' : ` · hand at fret ${hand[0]}`} · next {moveWords(next.voicing.position - current.voicing.position)}
        </p>
        <p className="in-order">
          In order{' '}
          {chords.slice(now, now + 6).map((chord, index) => (
            <b key={`${now}-${index}`} className={index === 0 ? 'now' : index === 1 ? 'next' : ''}>
              {chord.symbol}
            </b>
          ))}
        </p>
      </div>
      <svg
        width={NECK + 50}
        height={height}
        viewBox={`0 0 ${NECK + 50} ${height}`}
        role="img"
        aria-label={`Now ${gripWords(current)}; next ${gripWords(next)}`}
      >
        {hand !== null && (
          <rect
            x={34 + between(hand[0] - 1, hand[1]).x}
            width={between(hand[0] - 1, hand[1]).width}
            y={top - 6}
            height={bottom - top + 12}
            className="ribbon-hand"
          />
        )}
        {frets.map((fret) => (
          <g key={fret}>
            <line x1={34 + wireX(fret)} x2={34 + wireX(fret)} y1={top - 6} y2={bottom + 6} className={fret === 0 ? 'nut' : 'fret'} />
            {fret > window.first && (
              <text
                x={34 + tipX(fret)}
                y={bottom + 19}
                className={[3, 5, 7, 9, 12, 15].includes(fret) ? 'fret-number marked' : 'fret-number'}
              >
                {fret}
              </text>
            )}
          </g>
        ))}
        {Array.from({ length: strings }, (_, string) => (
          <line
            key={string}
            x1={34}
            x2={34 + NECK}
            y1={y(string)}
            y2={y(string)}
            className={current.voicing.frets[string] === null ? 'string muted' : 'string'}
            strokeWidth={1.8 - (string * 1.2) / strings}
          />
        ))}
        {next.voicing.frets.map((fret, string) =>
          fret === null || fret === current.voicing.frets[string] ? null : (
            <rect
              key={string}
              x={x(fret) - 11}
              y={y(string) - 6}
              width={22}
              height={12}
              rx={next.voicing.degrees[string] === 'R' ? 0 : 6}
              className="next-dot"
            />
          ),
        )}
        {current.voicing.frets.map((fret, string) => {
          if (fret === null) return <path key={string} d={`M${x(0) - 4} ${y(string) - 4}l8 8m0 -8l-8 8`} className="mute-cross" />
          const held = fret === next.voicing.frets[string]
          return (
            <g key={string} className={held ? 'now-dot held' : 'now-dot'}>
              <rect x={x(fret) - 12} y={y(string) - 6.5} width={24} height={13} rx={current.voicing.degrees[string] === 'R' ? 0 : 6.5} />
              <text x={x(fret)} y={y(string) + 4}>
                {current.voicing.degrees[string]}
              </text>
            </g>
          )
        })}
      </svg>
    </section>
  )
}

const gripWords = ({ symbol, voicing }: VoicedChord): string =>
  `${symbol} at ${gripText(voicing.frets)}, ${voicing.degrees.map((degree) => degree ?? 'muted').join(' ')}`
const moveWords = (frets: number): string => (frets === 0 ? 'it stays' : `it goes ${frets > 0 ? 'up' : 'down'} ${Math.abs(frets)}`)
