import { App, Button, Checkbox, InputNumber, Segmented, Select } from 'antd'
import type { Backing, Choices, LessonStage } from '../../../api/types'
import { playbackLevel, setPlaybackLevel } from '../../../audio/band'
import { useKeys } from '../../../ui/keys'
import { useBench, useDocument } from '../../bench/benchContext'
import { MicRoom } from '../MicRoom'
import { rangesOf } from '../ranges'
import { TapPads } from '../TapPads'
import type { useJudge } from '../useJudge'
import { LadderStairs } from './LadderStairs'
import { Pulse } from './Pulse'
import { playedSeconds, type Settings } from './session'
import { LOUDNESSES } from '../loudnesses'
import { usePractice } from './usePractice'

const MODES = [
  { value: 'gated', label: 'steps' },
  { value: 'ramp', label: 'ramp' },
  { value: 'bursts', label: 'bursts' },
]
const MODE_WORDS = {
  gated: 'Two clean cycles in a row climb once the cycles planned are played, two that are not drop one step.',
  ramp: 'A little faster every cycle, to arrive on time.',
  bursts: 'Long cycles slow, short ones at the goal, by turns.',
}
const SWINGS = [
  { value: 0, label: 'pulse by the tempo' },
  { value: 1, label: 'pulse on each beat' },
  { value: 4, label: 'pulse over 4 beats' },
  { value: 8, label: 'pulse over 8 beats' },
]

type Props = {
  judge: ReturnType<typeof useJudge>
  usual: Choices['practice']
  /** whose ladder it is; null: one over the song */
  stage: LessonStage | null
  onClose: () => void
  onShow: (take: string) => void
}

/** A tempo ladder that runs by itself: each cycle is judged, and the ladder says what comes next. */
export function PracticeRoom({ judge, usual, stage, onClose, onShow }: Props) {
  const { timeline } = useBench()
  const { message } = App.useApp()
  const practice = usePractice(judge, usual, stage, (problem) => void message.error(problem, 10))
  const { settings, cycles, phase, ladder, step, last } = practice
  const running = phase !== 'ready' && phase !== 'over'
  const silent = timeline === undefined || timeline.strokes.length === 0
  useKeys(
    running
      ? { Escape: practice.stop, ...(phase === 'asked' ? { Enter: practice.rested } : {}) }
      : { r: () => !silent && practice.begin(), Escape: onClose },
  )
  const playing = phase === 'playing' && (practice.recorder.status !== 'idle' || practice.microphone.status !== 'idle')

  return (
    <section className={playing && settings.hideBeats ? 'practice beats-hidden' : 'practice'} aria-label="Practice room">
      {!running && <Wishes settings={settings} backings={practice.backings} onSet={practice.set} />}
      {practice.problem !== null && (
        <p role="alert" className="finding finding-off">
          {practice.problem.message}
        </p>
      )}
      {playing ? (
        <>
          {!settings.hideBeats && (
            <Pulse
              beats={settings.swing !== 0 ? settings.swing : (step?.pulse_beats ?? 1)}
              beatsABar={timeline?.bars[0]?.beats.length ?? 4}
            />
          )}
          {settings.input === 'keys' ? (
            <TapPads
              recorder={practice.recorder}
              timeline={timeline}
              bars={step?.bars ?? settings.bars}
              from={settings.from}
              hideBeats={settings.hideBeats}
            />
          ) : (
            <MicRoom
              timeline={timeline}
              microphone={practice.microphone}
              bars={step?.bars ?? settings.bars}
              from={settings.from}
              lateMs={judge.byMicrophone?.latency_ms}
              hideBeats={settings.hideBeats}
            />
          )}
        </>
      ) : (
        <>
          {ladder !== undefined && <LadderStairs ladder={ladder} cycles={cycles} />}
          <p className="practice-now" role="status">
            {phase === 'judging'
              ? 'Judging …'
              : phase === 'tuning-in'
                ? `Next: ${step?.bpm ?? ''}`
                : last !== null
                  ? verdict(last.report.gate.passed, last.report.findings[0]?.text)
                  : ladder === undefined
                    ? ''
                    : ladderWords(ladder, settings)}
          </p>
          {phase === 'between' && step !== undefined && <p className="figure-big brass">Next at {step.bpm}. It counts in by itself.</p>}
          {phase === 'asked' && practice.question === 'rest' && (
            <div className="finding finding-swing">
              <p>
                You have played {Math.round(playedSeconds(cycles) / 60)} minutes. Rest the hands five minutes before you go on; stop for
                today at pain, numbness or tingling, and let a clinician look at it.
              </p>
              <Button type="primary" onClick={practice.rested}>
                Rested, go on <kbd className="on-ink">Enter</kbd>
              </Button>
            </div>
          )}
          {phase === 'asked' && practice.question === 'tension' && (
            <div className="finding finding-swing">
              <p>Is the pick held lightly, the shoulder low, the fretting hand loose between the strokes?</p>
              <div className="button-row">
                <Button type="primary" onClick={practice.rested}>
                  Loose, go on <kbd className="on-ink">Enter</kbd>
                </Button>
                <Button onClick={practice.stop}>It is tight: stop here</Button>
                <Button onClick={() => practice.set({ hurts: true })} disabled={settings.hurts}>
                  It hurts: climb no more today
                </Button>
              </div>
            </div>
          )}
          {phase === 'over' && (
            <p className="finding finding-holds">The {settings.minutes} minutes are over. Everything you played is kept among the takes.</p>
          )}
          <div className="button-row">
            {running ? (
              <Button danger onClick={practice.stop}>
                Stop here <kbd>Esc</kbd>
              </Button>
            ) : (
              <>
                <Button type="primary" disabled={silent || ladder === undefined} onClick={practice.begin}>
                  {cycles.length === 0 ? 'Start the ladder' : 'Go on'} <kbd className="on-ink">R</kbd>
                </Button>
                {cycles.length > 0 && <Button onClick={practice.forget}>Begin anew</Button>}
                {ladder !== undefined && cycles.some((cycle) => cycle.clean && cycle.bpm >= ladder.goal) && (
                  <Button onClick={() => practice.set(ladder.raised)}>
                    Easy: {ladder.raised.start} to {ladder.raised.goal}
                  </Button>
                )}
                {last !== null && <Button onClick={() => onShow(last.id)}>See the report</Button>}
                <Button onClick={onClose}>
                  Leave the ladder <kbd>Esc</kbd>
                </Button>
              </>
            )}
          </div>
          <Log cycles={cycles} onShow={onShow} />
        </>
      )}
    </section>
  )
}

const verdict = (clean: boolean, finding: string | undefined) => (clean ? 'Clean.' : (finding ?? 'Not clean yet.'))

const ladderWords = (
  ladder: { steps: { bpm: number }[]; minutes: number; fits: boolean; goal: number; added: number },
  settings: Settings,
) =>
  ladder.fits
    ? `${ladder.steps.length} tempos, ${ladder.minutes.toFixed(1)} of your ${settings.minutes} minutes${ladder.added === 0 ? '' : `: ${ladder.added} cycles were put in to use them`}. ${MODE_WORDS[settings.mode]}`
    : `${settings.minutes} minutes carry to ${ladder.goal}, not to ${settings.goal}. ${MODE_WORDS[settings.mode]}`

const TOP = 'top'

function Wishes({ settings, backings, onSet }: { settings: Settings; backings: Backing[]; onSet: (part: Partial<Settings>) => void }) {
  const { timeline } = useBench()
  // Lengths are typed beside it; what begins elsewhere than at the top is chosen.
  const ranges = rangesOf(timeline, useDocument(), null).filter(({ value }) => Number.isNaN(Number(value)))
  const number = (name: 'start' | 'goal' | 'minutes' | 'bars' | 'restAfter', label: string, min: number, max: number) => (
    <label>
      {label}
      <InputNumber
        aria-label={label}
        controls={false}
        min={min}
        max={max}
        precision={0}
        value={settings[name]}
        onChange={(value) => value !== null && onSet({ [name]: value })}
      />
    </label>
  )
  return (
    <div className="wishes">
      {number('start', 'from', 20, 400)}
      {number('goal', 'to', 20, 400)}
      {number('minutes', 'minutes', 1, 120)}
      {number('bars', 'bars a cycle', 1, 64)}
      {ranges.length > 0 && (
        <label>
          of
          <Select
            aria-label="Bars of the ladder"
            value={ranges.find(({ from, bars }) => from === settings.from && (from > 0 || bars === settings.bars))?.value ?? TOP}
            options={[{ value: TOP, label: 'the top' }, ...ranges.map(({ value, label }) => ({ value, label }))]}
            onChange={(value) => {
              const range = ranges.find((each) => each.value === value)
              onSet(range === undefined ? { from: 0 } : { from: range.from, bars: range.bars })
            }}
            popupMatchSelectWidth={false}
            style={{ width: 160 }}
          />
        </label>
      )}
      <label>
        climbs by
        <Segmented
          aria-label="Kind of ladder"
          options={MODES}
          value={settings.mode}
          onChange={(mode) => onSet({ mode: mode as Settings['mode'] })}
        />
      </label>
      <label>
        play along to
        <Select
          aria-label="Play along to"
          value={settings.backing}
          options={backings.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(backing) => onSet({ backing })}
          style={{ width: 180 }}
        />
      </label>
      <label>
        played by
        <Segmented
          aria-label="Played by"
          options={[
            { value: 'keys', label: 'keys' },
            { value: 'microphone', label: 'microphone' },
          ]}
          value={settings.input}
          onChange={(input) => onSet({ input: input as Settings['input'] })}
        />
      </label>
      <label>
        pulse shown
        <Select
          aria-label="Pulse shown"
          value={settings.swing}
          options={SWINGS}
          onChange={(swing) => onSet({ swing: swing as Settings['swing'] })}
          style={{ width: 160 }}
        />
      </label>
      {number('restAfter', 'rest after, minutes', 5, 60)}
      <label>
        loudness
        <Select
          aria-label="Loudness"
          defaultValue={playbackLevel()}
          options={LOUDNESSES}
          onChange={setPlaybackLevel}
          style={{ width: 140 }}
        />
      </label>
      <Checkbox checked={settings.hideBeats} onChange={(event) => onSet({ hideBeats: event.target.checked })}>
        hide the beats
      </Checkbox>
      <Checkbox checked={settings.hurts} onChange={(event) => onSet({ hurts: event.target.checked })}>
        my hand hurts today
      </Checkbox>
    </div>
  )
}

/** The tempos that were played clean in this sitting, the newest first. */
function Log({ cycles, onShow }: { cycles: { take: string; bpm: number; clean: boolean }[]; onShow: (take: string) => void }) {
  if (cycles.length === 0) return null
  const clean = cycles.filter((cycle) => cycle.clean)
  return (
    <p className="muted">
      {clean.length} of {cycles.length} cycles clean
      {clean.length > 0 ? `, the fastest at ${Math.max(...clean.map((cycle) => cycle.bpm))}` : ''}.{' '}
      {cycles.slice(-8).map((cycle) => (
        <button key={cycle.take} type="button" className={cycle.clean ? 'quiet held' : 'quiet cut'} onClick={() => onShow(cycle.take)}>
          {cycle.bpm}
          {cycle.clean ? ' ✓' : ' ✕'}
        </button>
      ))}
    </p>
  )
}
