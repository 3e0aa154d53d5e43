import { InputNumber } from 'antd'
import { useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { withStart } from '../../api/desk'
import { readFeel } from '../../api/queries'
import type { BreakdownDocument, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { firstBeats } from '../../audio/bars'
import { useBandFrames } from '../../audio/useBandFrames'
import type { PartName } from '../../audio/BandPlayer'
import { useKeys } from '../../ui/keys'
import { useTapTempo } from '../../ui/useTapTempo'
import { countOf, passName } from '../../ui/words'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { FeelDial } from './FeelDial'
import { LoopMap } from './LoopMap'

/** In the order in which they can be silenced, by short names. */
const PARTS: [PartName, string][] = [
  ['drums', 'drums'],
  ['bass', 'bass'],
  ['guitar', 'guitar'],
  ['second-guitar', 'guitar 2'],
  ['keys', 'keys'],
  ['horns', 'horns'],
  ['lead', 'lead'],
]

/** More parts than this are silenced by lamps in two rows. */
const ONE_ROW = 5

/** A lead without a tune solos, and nothing sounds. */
const isSilent = ({ instrument, tune }: BreakdownDocument['parts'][number]): boolean => instrument === 'lead' && tune === undefined

export function usePlayer() {
  return useSyncExternalStore(band.subscribe, band.snapshot)
}

/** Plays from the core's timeline: always in reach, whatever station is open. */
export function Transport() {
  const { store, tempo, setTempo, timeline } = useBench()
  const document = useDocument()
  const mine = useMine()
  const player = usePlayer()
  const playing = player.status !== 'stopped'
  const ready = timeline !== undefined && timeline.bars.length > 0
  const nudge = (by: number) => setTempo(Math.min(400, Math.max(20, Math.round(tempo + by))))
  const tap = useTapTempo(setTempo)
  const heard = PARTS.filter(([part]) => document.parts.some((each) => each.instrument === part && !isSilent(each)))
  const [wanted, setWanted] = useState(false)
  const toggle = () => {
    if (playing) band.stop()
    else if (timeline === undefined) setWanted(!wanted)
    else if (ready) void band.start()
  }
  // Play that was pressed before the tune was worked out is not forgotten.
  useEffect(() => {
    if (!wanted || timeline === undefined) return
    setWanted(false)
    if (timeline.bars.length > 0) void band.start()
  }, [wanted, timeline])
  const { feel } = document.start
  const takeFeel = useFeelByName()
  /** Straight, and back to the swing it had: to hear one against the other. */
  const swung = useRef(feel)
  const straighten = () => {
    if (!mine) return
    const straight = feel.mode === 'fixed' && feel.ratio === 1
    if (!straight) swung.current = feel
    if (!straight) return takeFeel('straight')
    if (swung.current.mode === 'fixed' && swung.current.ratio === 1) return takeFeel('triplet')
    store.change((d) => withStart(d, { feel: swung.current }))
  }
  useKeys({ '/': straighten, Space: toggle, '[': () => nudge(-2), ']': () => nudge(2), t: tap })

  return (
    <footer className="transport" aria-label="Transport">
      <button
        type="button"
        className="play"
        onClick={toggle}
        disabled={!ready && timeline !== undefined}
        aria-busy={wanted}
        aria-label={playing ? 'Stop' : 'Play'}
      >
        <svg width="26" height="28" viewBox="0 0 26 28" aria-hidden="true">
          {playing ? <path d="M4 2h6v24H4zM16 2h6v24h-6z" /> : <path d="M3 1l21 13L3 27z" />}
        </svg>
      </button>
      <div className="cell">
        <span className="cell-name">Bar · beat</span>
        <Place />
      </div>
      <div className="cell">
        <span className="cell-name">Tempo</span>
        <span className="cell-row">
          <InputNumber
            aria-label="Tempo"
            className="tempo-field"
            controls={false}
            min={20}
            max={400}
            precision={0}
            value={tempo}
            onChange={(value) => value !== null && value >= 20 && value <= 400 && setTempo(value)}
          />
          <button type="button" className="step" onClick={() => nudge(-2)} aria-label="Slower">
            −
          </button>
          <button type="button" className="step" onClick={() => nudge(2)} aria-label="Faster">
            +
          </button>
          <button type="button" className="step wide" onClick={tap} aria-label="Tap the tempo">
            Tap
          </button>
        </span>
      </div>
      <i className="slash" />
      <FeelDial
        p={timeline?.p ?? 0.5}
        words={timeline?.feel_words ?? ''}
        offBeatMs={timeline?.off_beat_ms ?? 0}
        onTyped={async (typed) => {
          const { feel: read } = await readFeel(typed, feel.unit)
          store.change((d) => withStart(d, { feel: read }))
        }}
        disabled={!mine}
        onChange={(share) => takeFeel(`${(100 * share).toFixed(2)} %`)}
      />
      <i className="slash" />
      <div className="cell">
        <span className="cell-name">Click on</span>
        <span className="cell-row">
          {Array.from({ length: firstBeats(timeline) }, (_, beat) => (
            <button
              key={beat}
              type="button"
              className="lamp"
              aria-pressed={player.clickOn.includes(beat)}
              aria-label={`Click on beat ${beat + 1}`}
              onClick={() =>
                band.set({
                  clickOn: player.clickOn.includes(beat) ? player.clickOn.filter((each) => each !== beat) : [...player.clickOn, beat],
                })
              }
            >
              {beat + 1}
            </button>
          ))}
        </span>
      </div>
      <div className="cell">
        <span className="cell-name">Count-in</span>
        <button
          type="button"
          className="step wide"
          onClick={() => band.set({ countInBars: (player.countInBars + 1) % 3 })}
          title="Bars counted in; press to change"
        >
          <span className="unseen">Count-in: </span>
          {player.countInBars === 0 ? 'none' : countOf(player.countInBars, 'bar')}
        </button>
      </div>
      <div className="cell">
        <span className="cell-name">Hear</span>
        <span className={heard.length > ONE_ROW ? 'cell-row lamps-in-two' : 'cell-row'}>
          {heard.map(([part, name]) => (
            <button
              key={part}
              type="button"
              className="lamp wide"
              aria-pressed={!player.muted[part]}
              onClick={() => band.mute(part, !player.muted[part])}
            >
              {name}
            </button>
          ))}
          <button
            type="button"
            className="lamp wide extra"
            aria-pressed={player.countAloud}
            title="The syllables of the pattern as clicks of their own pitch"
            onClick={() => band.set({ countAloud: !player.countAloud })}
          >
            count
          </button>
        </span>
      </div>
      <i className="slash" />
      <LoopMap
        bars={timeline?.bars.length ?? 0}
        sections={document.sections.map((section) => section.name)}
        passes={passesOf(timeline, document)}
      />
    </footer>
  )
}

/** Where each pass lies among the bars that are played. */
function passesOf(timeline: Timeline | undefined, { passes }: BreakdownDocument): { name: string; from: number; to: number }[] {
  const bars = timeline?.bars ?? []
  return passes
    .map(({ id }) => ({
      name: passName(passes, id),
      from: bars.findIndex((bar) => bar.pass === id),
      to: bars.findLastIndex((bar) => bar.pass === id),
    }))
    .filter(({ from }) => from >= 0)
}

/** Takes a feel as it is named or as a share of the pair; of several in a row only the last, as one step to undo. */
function useFeelByName() {
  const { store } = useBench()
  const latest = useRef(0)
  return (typed: string): void => {
    const turn = ++latest.current
    void readFeel(typed, store.getState().document.start.feel.unit)
      .then(({ feel }) => {
        if (turn === latest.current) store.change((d) => withStart(d, { feel }), { together: 'feel' })
      })
      .catch(() => undefined)
  }
}

/** Written straight into the page each frame, so that nothing is rendered anew while music plays. */
function Place() {
  const field = useRef<HTMLSpanElement>(null)
  useBandFrames(() => {
    const at = band.position()
    const figures = band.punctuality()
    if (field.current === null) return
    const text = at === null ? '1 . 1' : at.countIn !== null ? `– ${at.countIn}` : `${at.bar + 1} . ${at.beat + 1}`
    if (field.current.textContent !== text) field.current.textContent = text
    field.current.dataset.scheduled = String(figures.scheduled)
    field.current.dataset.late = String(figures.late)
    field.current.dataset.margin = figures.smallestMarginMs === null ? '' : figures.smallestMarginMs.toFixed(1)
  })
  return <span ref={field} className="place" data-testid="place" />
}
