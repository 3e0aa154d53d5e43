import { useEffect, useMemo, useRef, useState } from 'react'
import { useLadder } from '../../../api/queries'
import type { Choices, Take } from '../../../api/types'
import { useMicrophone } from '../../../audio/useMicrophone'
import { useRecorder } from '../../../audio/useRecorder'
import { useBench, useDocument } from '../../bench/benchContext'
import type { useJudge } from '../useJudge'
import { withClicks } from './clickModes'
import { playedSeconds, readSession, writeSession, type Session, type Settings } from './session'

export type Phase = 'ready' | 'tuning-in' | 'playing' | 'judging' | 'between' | 'asked' | 'over'

/** Between two cycles there is time to read one sentence. */
const BETWEEN_MS = 4000

/**
 * Goes up the ladder by itself: sets the tempo, counts in, takes a cycle, has it judged, and goes on where the ladder says,
 * until the minutes are over, somebody stops, or a question waits.
 */
export function usePractice(judge: ReturnType<typeof useJudge>, usual: Choices['practice'], onProblem: (words: string) => void) {
  const { store, setTempo, timeline, tempo } = useBench()
  const document = useDocument()
  const id = store.getState().id
  const [session, setSession] = useState<Session>(() => readSession(id, document.start.tempo, usual))
  const [phase, setPhase] = useState<Phase>('ready')
  const [last, setLast] = useState<Take | null>(null)
  const [rested, setRested] = useState(0)
  const going = useRef(false)
  const putBack = useRef<() => void>(() => undefined)
  const { settings, cycles } = session
  const ladder = useLadder({
    start: settings.start,
    goal: settings.goal,
    minutes: settings.minutes,
    bars: settings.bars,
    mode: settings.mode,
    meter: document.start.meter,
    clean: cycles.map((cycle) => cycle.clean),
    hurts: settings.hurts,
    played: playedSeconds(cycles),
    rested,
    rest_after: settings.restAfter,
  })
  const step = ladder.data?.steps[ladder.data.at]
  const backings = useMemo(() => ladder.data?.backings ?? [], [ladder.data])

  const keep = (next: Session) => {
    writeSession(id, next)
    setSession(next)
  }
  const judged = (take: Take | null) => {
    putBack.current()
    if (take === null) {
      going.current = false
      setPhase('ready')
      return
    }
    setLast(take)
    const now = {
      ...session,
      cycles: [
        ...cycles,
        { take: take.id, bpm: take.tempo, clean: take.report.gate.passed, seconds: (step?.seconds ?? 0) / (step?.cycles ?? 1) },
      ],
    }
    keep(now)
    setPhase(going.current ? 'between' : 'ready')
  }
  const recorder = useRecorder((take) => {
    setPhase('judging')
    void judge.taps(take).then(judged)
  })
  const microphone = useMicrophone(
    (wav, firstBeat) => {
      setPhase('judging')
      void judge.sound({ wav, firstBeat, bars: step?.bars ?? settings.bars, tempo }).then(judged)
    },
    (problem) => {
      going.current = false
      setPhase('ready')
      onProblem(problem)
    },
  )

  // The tempo is set first; the cycle begins when the band knows it.
  useEffect(() => {
    if (phase !== 'tuning-in' || step === undefined || ladder.isPlaceholderData) return
    if (tempo !== step.bpm) {
      setTempo(step.bpm)
      return
    }
    if (timeline?.tempo !== step.bpm) return
    setPhase('playing')
    putBack.current = withClicks(backings.find(({ id: each }) => each === settings.backing))
    const how = { bars: step.bars, ...(settings.backing === 'band' ? {} : { clickOnly: 'as set' as const }) }
    if (settings.input === 'microphone') void microphone.start(how)
    else void recorder.start({ ...how, tempo: step.bpm })
  }, [phase, step, ladder.isPlaceholderData, tempo, timeline, backings, settings.backing, settings.input, microphone, recorder, setTempo])
  useEffect(() => {
    if (phase !== 'between' || ladder.isPlaceholderData || ladder.data === undefined) return
    if (ladder.data.pause !== null) {
      setPhase(ladder.data.pause === 'over' ? 'over' : 'asked')
      return
    }
    const timer = setTimeout(() => setPhase('tuning-in'), BETWEEN_MS)
    return () => clearTimeout(timer)
  }, [phase, ladder.data, ladder.isPlaceholderData])
  // Nothing was played: there is nothing to judge, and the ladder waits.
  const idle = recorder.status === 'idle' && microphone.status === 'idle'
  const played = useRef(false)
  useEffect(() => {
    if (phase !== 'playing') {
      played.current = false
      return
    }
    if (!idle) played.current = true
    else if (played.current) {
      going.current = false
      putBack.current()
      setPhase('ready')
    }
  }, [phase, idle])
  useEffect(() => () => putBack.current(), [])

  return {
    settings,
    cycles,
    phase,
    question: ladder.data?.pause ?? null,
    last,
    ladder: ladder.data,
    backings,
    problem: ladder.error,
    step,
    recorder,
    microphone,
    set: (part: Partial<Settings>) =>
      keep({
        settings: { ...settings, ...part },
        cycles: 'start' in part || 'goal' in part || 'mode' in part || 'minutes' in part || 'bars' in part ? [] : cycles,
      }),
    begin: () => {
      going.current = true
      setPhase('tuning-in')
    },
    /** Ends the ladder after this cycle's judgement; what was played so far is judged. */
    stop: () => {
      going.current = false
      if (phase === 'playing') {
        recorder.stop()
        microphone.stop()
      } else setPhase('ready')
    },
    rested: () => {
      setRested(playedSeconds(cycles))
      going.current = true
      setPhase('tuning-in')
    },
    forget: () => {
      setRested(0)
      setLast(null)
      setPhase('ready')
      keep({ settings, cycles: [] })
    },
  }
}
