import { useEffect, useMemo, useReducer, useRef, useState } from 'react'
import { useLadder } from '../../../api/queries'
import type { Choices, LessonStage, Take } from '../../../api/types'
import { useMicrophone } from '../../../audio/useMicrophone'
import { useRecorder } from '../../../audio/useRecorder'
import { useBench, useDocument } from '../../bench/benchContext'
import type { useJudge } from '../useJudge'
import { withClicks } from './clickModes'
import { practiceAfter, READY } from './phases'
import { playedSeconds, useSession, type Session } from './session'

/** Between two cycles there is time to read one sentence. */
const BETWEEN_MS = 4000

/**
 * Goes up the ladder by itself: sets the tempo, counts in, takes a cycle, has it judged, and goes on where the ladder says,
 * until the minutes are over, somebody stops, or a question waits.
 */
export function usePractice(
  judge: ReturnType<typeof useJudge>,
  usual: Choices['practice'],
  stage: LessonStage | null,
  onProblem: (words: string) => void,
) {
  const { store, setTempo, timeline, tempo } = useBench()
  const document = useDocument()
  const session = useSession(store.getState().id, document.start.tempo, usual, stage)
  const { settings, cycles } = session
  const [{ phase }, happen] = useReducer(practiceAfter, READY)
  const [last, setLast] = useState<Take | null>(null)
  const [rested, setRested] = useState(0)
  const ladder = useLadderOf(session, document.start.meter, rested)
  const step = ladder.data?.steps[ladder.data.at]
  const backings = useMemo(() => ladder.data?.backings ?? [], [ladder.data])
  const putBack = useRef<() => void>(() => undefined)

  const judged = (take: Take | null) => {
    putBack.current()
    if (take === null) return happen('came to nothing')
    setLast(take)
    session.add({ take: take.id, bpm: take.tempo, clean: take.report.gate.passed, seconds: (step?.seconds ?? 0) / (step?.cycles ?? 1) })
    happen('judged')
  }
  const recorder = useRecorder((take) => {
    happen('played')
    void judge.taps(take).then(judged)
  })
  const microphone = useMicrophone(
    (wav, firstBeat) => {
      happen('played')
      void judge.sound({ wav, firstBeat, bars: step?.bars ?? settings.bars, from: settings.from, tempo }).then(judged)
    },
    (problem) => {
      happen('came to nothing')
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
    happen('sounds')
    putBack.current = withClicks(backings.find(({ id }) => id === settings.backing))
    const how = { bars: step.bars, from: settings.from, ...(settings.backing === 'band' ? {} : { clickOnly: 'as set' as const }) }
    if (settings.input === 'microphone') void microphone.start(how)
    else void recorder.start({ ...how, tempo: step.bpm })
  }, [
    phase,
    step,
    ladder.isPlaceholderData,
    tempo,
    timeline,
    backings,
    settings.backing,
    settings.input,
    settings.from,
    microphone,
    recorder,
    setTempo,
  ])
  useEffect(() => {
    if (phase !== 'between' || ladder.isPlaceholderData || ladder.data === undefined) return
    if (ladder.data.pause !== null) {
      happen(ladder.data.pause === 'over' ? 'is over' : 'is asked')
      return
    }
    const timer = setTimeout(() => happen('goes on'), BETWEEN_MS)
    return () => clearTimeout(timer)
  }, [phase, ladder.data, ladder.isPlaceholderData])
  useNothingPlayed(phase === 'playing', recorder.status === 'idle' && microphone.status === 'idle', () => {
    putBack.current()
    happen('came to nothing')
  })
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
    set: session.set,
    begin: () => happen('begins'),
    /** Ends the ladder after this cycle's judgement; what was played so far is judged. */
    stop: () => {
      happen('stops')
      if (phase === 'playing') {
        recorder.stop()
        microphone.stop()
      }
    },
    rested: () => {
      setRested(playedSeconds(cycles))
      happen('begins')
    },
    forget: () => {
      setRested(0)
      setLast(null)
      happen('came to nothing')
      session.forget()
    },
  }
}

const useLadderOf = ({ settings, cycles }: Session, meter: string, rested: number) =>
  useLadder({
    start: settings.start,
    goal: settings.goal,
    minutes: settings.minutes,
    bars: settings.bars,
    mode: settings.mode,
    ...(settings.step === undefined ? {} : { step: settings.step }),
    meter,
    clean: cycles.map((cycle) => cycle.clean),
    hurts: settings.hurts,
    played: playedSeconds(cycles),
    rested,
    rest_after: settings.restAfter,
  })

/** Tells of a cycle that began and ended without a take: there is nothing to judge, and the ladder waits. */
function useNothingPlayed(playing: boolean, idle: boolean, onNothing: () => void) {
  const began = useRef(false)
  const tell = useRef(onNothing)
  useEffect(() => {
    tell.current = onNothing
  })
  useEffect(() => {
    if (!playing) began.current = false
    else if (!idle) began.current = true
    else if (began.current) tell.current()
  }, [playing, idle])
}
