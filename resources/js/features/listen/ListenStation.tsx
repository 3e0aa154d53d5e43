import { App, Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { heardWords } from '../../api/hearings'
import { useFeelReading, useSketch } from '../../api/queries'
import type { HeardStroke } from '../../api/types'
import { FilePicker } from '../../ui/FilePicker'
import { useKeys } from '../../ui/keys'
import { useSheet } from '../../ui/useSheet'
import { useBench } from '../bench/benchContext'
import { Counted } from './Counted'
import { handedOver } from './handedOver'
import { counted, listenedTo, type Listened, type ListenedStroke } from './listened'
import { MicrophoneSheet } from './MicrophoneSheet'
import { NothingHeard } from './NothingHeard'
import { Overview } from './Overview'
import { hearFile } from './sources'
import { StrokeCard } from './StrokeCard'
import { StrokeView } from './StrokeView'
import { Taking } from './Taking'
import { TapAlong } from './TapAlong'
import { TapBeats } from './TapBeats'
import { SwingFigure, TempoFigure, TuningFigure } from './figures'
import { useCorrections } from './useCorrections'
import { useListened } from './useListened'
import { usePlayback } from './usePlayback'

const SHOWN_BARS = 2
const NUDGE_S = 0.005

/** A record or a band is listened to: its strokes, tempo, swing and tuning, corrected by hand and then taken over. */
export default function ListenStation() {
  const { store, desk } = useBench()
  const { message } = App.useApp()
  const { listened, change, undo, canUndo } = useListened(store.getState().id)
  const [sheet, setSheet] = useSheet<'none' | 'taps' | 'microphone'>('none', ['taps', 'microphone'])
  const [hearing, setHearing] = useState(false)
  const [heardShare, setHeardShare] = useState<number | null>(null)
  const playback = usePlayback()
  const file = useRef<HTMLInputElement>(null)
  const reading = useFeelReading(desk, listened === null ? [] : counted(listened), listened?.beats ?? [], listened?.told ?? {})
  const shown = reading.data
  const sketch = useSketch(
    desk,
    listened === null ? [] : counted(listened),
    listened?.beats ?? [],
    listened?.told ?? {},
    listened?.notes ?? null,
    listened?.harmony ?? { company: 'alone', key: null },
  )
  const chords = sketch.data?.chords ?? []
  const { strokes, places, chosen, choose, stroke, edit, nudge, tell, faster, insert, halfWay } = useCorrections(listened, change, shown)

  const open = async (name: string, recording: File) => {
    setHearing(true)
    setHeardShare(null)
    try {
      const heard = await hearFile(recording, setHeardShare)
      playback.load(heard.sound)
      choose(0)
      change(listenedTo(name, heard.hearing))
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'This recording could not be heard. Try another.', 10)
    } finally {
      setHearing(false)
    }
  }
  const handed = useRef(open)
  useEffect(() => {
    const recording = handedOver(store.getState().id)
    if (recording !== null) void handed.current(recording.name, recording)
  }, [store])
  const opening = sheet === 'none'
  useKeys(
    {
      o: () => file.current?.click(),
      m: () => setSheet('microphone'),
      a: () => setSheet('taps'),
      ...(listened === null
        ? {}
        : {
            p: () => playback.toggle(stroke?.t ?? 0),
            ArrowLeft: () => choose(Math.max(0, chosen - 1)),
            ArrowRight: () => choose(Math.min(strokes.length - 1, chosen + 1)),
            ',': () => nudge(-NUDGE_S),
            '.': () => nudge(NUDGE_S),
            x: () => edit({ out: stroke?.out !== true }),
            n: halfWay,
            d: () => edit({ direction: 'down' }),
            u: () => edit({ direction: 'up' }),
            c: () => edit({ muted: stroke?.muted !== true }),
            '1': () => stroke !== undefined && tell({ first_beat: stroke.t }),
            h: () => faster(0.5),
            g: () => faster(2),
            z: undo,
          }),
    },
    opening,
  )
  const fromBar = Math.max(0, places[chosen]?.bar ?? 0)
  const bars = shown === undefined ? 0 : Math.ceil((shown.beats.length - 1) / shown.beats_a_bar)
  const firstShown = Math.max(0, Math.min(fromBar - (fromBar % SHOWN_BARS), bars - 1))

  return (
    <div className="with-side">
      <div className="station-main listen">
        <div className="station-head">
          <h2>Listen</h2>
          <p className="muted">
            {listened === null
              ? 'measure the feel of a record or a band'
              : `${listened.name} · ${Math.round(listened.seconds)} s · ${countWords(strokes)}`}
          </p>
          <div className="title-actions">
            {listened !== null && (
              <Button onClick={() => change(null)} title="The breakdown keeps what was taken over; Z brings it back">
                Close it
              </Button>
            )}
            <Button
              onClick={() => setSheet('taps')}
              title={playback.ready ? 'Tap the beats of the recording; the ear puts them right' : undefined}
            >
              Tap along <kbd>A</kbd>
            </Button>
            <Button onClick={() => setSheet('microphone')}>
              Microphone <kbd>M</kbd>
            </Button>
            <Button type="primary" loading={hearing} onClick={() => file.current?.click()}>
              {hearing ? heardWords(heardShare) : 'Open a recording'} <kbd className="on-ink">O</kbd>
            </Button>
          </div>
          <FilePicker
            field={file}
            label="A recording"
            accept="audio/*,.wav,.mid,.midi"
            onFile={(picked) => void open(picked.name, picked)}
          />
        </div>
        {sheet === 'taps' ? (
          listened !== null && playback.ready ? (
            <TapBeats
              recording={listened.name}
              play={playback.run}
              now={playback.now}
              onClose={() => setSheet('none')}
              onTapped={(beats) => {
                setSheet('none')
                change({ ...listened, beats, told: {} })
              }}
            />
          ) : (
            <TapAlong
              onClose={() => setSheet('none')}
              onTapped={(hits, beats) => {
                setSheet('none')
                choose(0)
                playback.load(null)
                change(tapped(hits, beats))
              }}
            />
          )
        ) : sheet === 'microphone' ? (
          <MicrophoneSheet
            onClose={() => setSheet('none')}
            onSound={(sound) => {
              setSheet('none')
              void open('from the microphone', new File([sound], 'microphone.wav', { type: 'audio/wav' }))
            }}
          />
        ) : listened === null ? (
          <NothingHeard onFile={(dropped) => void open(dropped.name, dropped)} />
        ) : reading.error !== null ? (
          <p role="alert" className="finding finding-off">
            {reading.error.message} Correct the strokes, tap along, or open another recording.
          </p>
        ) : shown === undefined ? (
          <p className="loading">Measuring …</p>
        ) : (
          <>
            {listened.remark !== null && <p className="finding finding-swing">{listened.remark}</p>}
            <Overview
              listened={listened}
              reading={shown}
              chords={chords}
              fromBar={firstShown}
              bars={SHOWN_BARS}
              onBar={(bar) => choose(nearestTo(strokes, shown.beats[bar * shown.beats_a_bar] ?? 0))}
            />
            <StrokeView
              listened={listened}
              reading={shown}
              chords={chords}
              places={places}
              fromBar={firstShown}
              bars={SHOWN_BARS}
              chosen={chosen}
              onChoose={choose}
              onInsert={insert}
              at={playback.at}
            />
            <div className="listen-figures">
              <TempoFigure reading={shown} />
              <SwingFigure reading={shown} />
              <TuningFigure tuning={listened.tuning} />
            </div>
          </>
        )}
      </div>
      <aside className="side wide" aria-label="Corrections and what to take over">
        {listened !== null && shown !== undefined && sheet === 'none' ? (
          <>
            <StrokeCard
              stroke={stroke}
              place={places[chosen] ?? null}
              count={strokes.filter((each) => each.byHand === true).length}
              canUndo={canUndo}
              canHear={playback.ready}
              playing={playback.at !== null}
              onEdit={edit}
              onNudge={nudge}
              onUndo={undo}
              onHear={() => playback.toggle(stroke?.t ?? 0)}
              onOne={() => stroke !== undefined && tell({ first_beat: stroke.t })}
            />
            <Counted reading={shown} told={listened.told} onTell={tell} onTimes={faster} />
            <Taking
              listened={listened}
              reading={shown}
              sketch={sketch.data}
              problem={sketch.error?.message ?? null}
              onHarmony={(harmony) => change({ ...listened, harmony })}
            />
          </>
        ) : (
          <>
            <h2>Take over into the breakdown</h2>
            <p className="muted">
              Tempo, feel and strokes are offered here once something is heard. Nothing in the breakdown changes before you press.
            </p>
          </>
        )}
      </aside>
    </div>
  )
}

const countWords = (strokes: ListenedStroke[]): string => {
  const heard = strokes.filter((stroke) => stroke.out !== true)
  return `${heard.length} strokes`
}

const nearestTo = (strokes: HeardStroke[], t: number): number =>
  strokes.reduce((best, stroke, index) => (Math.abs(stroke.t - t) < Math.abs((strokes[best]?.t ?? Infinity) - t) ? index : best), 0)

const tapped = (hits: HeardStroke[], beats: number[]): Listened => ({
  name: 'tapped along',
  seconds: Math.max(0, ...hits.map((hit) => hit.t), ...beats) + 1,
  outline: [],
  tuning: null,
  remark: null,
  strokes: hits,
  beats,
  told: {},
  notes: null,
  harmony: { company: 'alone', key: null },
})
