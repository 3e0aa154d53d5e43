import { useEffect, useMemo, useState } from 'react'
import { ApiError } from '../../api/client'
import { usePath, useVoicings } from '../../api/queries'
import { withLine, type Place } from '../../api/desk'
import type { LineDocument, Timeline, VoicedChord, Voicing } from '../../api/types'
import { hearGrip } from '../../audio/hearGrip'
import { useKeys } from '../../ui/keys'
import { useSheet } from '../../ui/useSheet'
import { useTabState } from '../../ui/useTabState'
import { useBench, useMine } from '../bench/benchContext'
import { ApproachSheet } from './ApproachSheet'
import { Candidates } from './Candidates'
import { ChangeSheet } from './ChangeSheet'
import { Compare } from './Compare'
import { FamilySheet } from './FamilySheet'
import { FiguresSheet } from './FiguresSheet'
import { GripTable } from './GripTable'
import { HandsSheet } from './HandsSheet'
import { LineRemarks } from './LineRemarks'
import { MelodySheet } from './MelodySheet'
import { NeckMapSheet } from './NeckMapSheet'
import { NeckSheets } from './NeckSheets'
import { OwnGrips } from './OwnGrips'
import { ProofSheet } from './ProofSheet'
import { ShapesHead } from './ShapesHead'
import type { Label } from './sheetMarks'
import { StringsSheet } from './StringsSheet'
import { TypedGrip } from './TypedGrip'
import { useFollowPlayback } from './useFollowPlayback'
import { usePins } from './usePins'
import { VIEWS, type View } from './views'

const sameFrets = (a: (number | null)[], b: (number | null)[]): boolean =>
  a.length === b.length && a.every((fret, index) => fret === b[index])

const COMPANIES: LineDocument['company'][] = ['alone', 'with-bass', 'shell']

/** A grip for every chord of the line, by the cheapest path; any other can be chosen and pinned. */
export default function ShapesStation() {
  const { store, desk, timeline } = useBench()
  const { document, line } = desk
  const mine = useMine()
  const pins = usePins()
  const [elsewhere, setElsewhere] = useState(false)
  const [view, setView] = useSheet<View>(
    'sheets',
    VIEWS.map((each) => each.view),
  )
  const path = usePath(desk, elsewhere)
  const first = usePath(desk)
  const [chosen, setChosen] = useTabState(`chord:${store.getState().id}`, 0)
  const [label, setLabel] = useState<Label>('degrees')
  const [kind, setKind] = useState('')
  const [tried, setTried] = useState<Voicing | null>(null)
  const [besides, setBesides] = useState<Voicing | null>(null)
  const [naming, setNaming] = useState(false)
  const [typing, setTyping] = useState(false)
  const chords = useMemo(() => path.data?.chords ?? [], [path.data])
  const index = Math.min(chosen, chords.length - 1)
  const current = chords[index] ?? null
  const voicings = useVoicings({ ...document.guitar, company: line.company, wishes: line.wishes }, current?.symbol ?? null, kind, {
    before: chords[index - 1],
    after: chords[index + 1],
  })
  const list = useMemo(
    () => ordered(voicings.error === null ? (voicings.data?.voicings ?? []) : [], current, kind === ''),
    [voicings.data, voicings.error, current, kind],
  )
  const inUse = tried ?? current?.voicing ?? null
  const place = list.findIndex((voicing) => inUse !== null && sameFrets(voicing.frets, inUse.frets))

  useEffect(() => setTried(null), [current?.symbol, chosen])
  useFollowPlayback(chords, setChosen)

  const look = (voicing: Voicing) => {
    setTried(voicing)
    void hearGrip(voicing)
  }
  const pin = (voicing: Voicing | null) => {
    if (current === null || voicing === null) return
    pins.pin(current, voicing)
    setTried(null)
  }
  const letGo = () => {
    if (current !== null) pins.letGo(current)
    setTried(null)
  }
  const link = () => {
    if (current === null || inUse === null) return
    pins.link(current, inUse)
    setTried(null)
  }
  const pinAll = () => {
    pins.pinAll(chords)
    setElsewhere(false)
  }
  const nextCompany = () => {
    if (mine)
      store.change((d) =>
        withLine(d, line.id, (each) => ({
          ...each,
          company: COMPANIES[(COMPANIES.indexOf(each.company) + 1) % COMPANIES.length] ?? 'alone',
        })),
      )
  }
  const show = (asked: View) => setView(view === asked ? 'sheets' : asked)
  const walk = (by: number) => {
    // The grips of the chord before are no grips for this one.
    if (voicings.isPlaceholderData) return
    const next = list[Math.min(list.length - 1, Math.max(0, place + by))]
    if (next !== undefined) look(next)
  }
  useKeys({
    ArrowDown: () => setChosen(Math.min(chords.length - 1, chosen + 1)),
    ArrowUp: () => setChosen(Math.max(0, chosen - 1)),
    ArrowRight: () => walk(1),
    ArrowLeft: () => walk(-1),
    Enter: () => pin(inUse),
    Delete: letGo,
    Backspace: letGo,
    h: () => inUse !== null && void hearGrip(inUse),
    k: link,
    x: () => setBesides((now) => (now === null ? inUse : null)),
    n: () => mine && setNaming(true),
    g: () => mine && setTyping(true),
    b: nextCompany,
    e: () => setElsewhere((now) => !now),
    Escape: () => setView('sheets'),
    ...Object.fromEntries(VIEWS.map(({ view: each, key }) => [key, () => show(each)])),
  })

  const figuresAlone = view === 'sheets' && noGrips(timeline, desk.place)
  const shown = chords.map((chord, at) => (at === chosen && tried !== null ? { ...chord, voicing: tried } : chord))
  return (
    <div className="with-side">
      <div className="station-main">
        <ShapesHead
          view={view}
          mine={mine}
          company={line.company}
          elsewhere={elsewhere}
          label={label}
          onView={show}
          onCompany={nextCompany}
          onElsewhere={() => setElsewhere(!elsewhere)}
          onLabel={setLabel}
        />
        <LineRemarks
          path={path}
          first={first.data}
          elsewhere={elsewhere}
          alone={line.company === 'alone' && view === 'sheets'}
          mine={mine}
          onPinAll={pinAll}
        />
        {(view === 'figures' || figuresAlone) && <FiguresSheet />}
        {view === 'strings' && <StringsSheet />}
        {view === 'hands' && <HandsSheet chords={chords} onPin={pins.pin} />}
        {current !== null && inUse !== null && (
          <>
            {view === 'map' && <NeckMapSheet chord={current} strings={current.voicing.frets.length} />}
            {view === 'approaches' && <ApproachSheet chord={current} index={index} />}
            {view === 'families' && <FamilySheet chords={chords} chord={current} voicing={inUse} onPin={pin} />}
            {view === 'changes' && <ChangeSheet />}
            {view === 'melody' && <MelodySheet chord={current} />}
            {view === 'proof' && <ProofSheet chords={chords} />}
            {view === 'sheets' && !figuresAlone && (
              <NeckSheets
                chords={shown}
                moves={path.data?.moves ?? []}
                chosen={chosen}
                onChoose={setChosen}
                label={label}
                tuning={document.guitar.tuning}
              />
            )}
          </>
        )}
      </div>
      {current !== null && inUse !== null && (
        <aside className="side wide" aria-label="Grips">
          <GripTable
            chord={current}
            voicing={inUse}
            tried={tried !== null}
            mine={mine}
            onPin={() => pin(inUse)}
            onLetGo={letGo}
            onLink={link}
            onHear={() => void hearGrip(inUse)}
            onCompare={() => setBesides(besides === null ? inUse : null)}
            onType={() => setTyping(!typing)}
            onName={(nickname) => pins.name(current, nickname)}
          />
          {typing && mine && (
            <TypedGrip
              key={`${current.symbol}-${index}`}
              symbol={current.symbol}
              strings={current.voicing.frets.length}
              onEnd={() => setTyping(false)}
              onPin={(frets) => {
                pins.pinFrets(current, frets)
                setTried(null)
                setTyping(false)
              }}
            />
          )}
          {besides !== null && <Compare one={besides} other={inUse} onEnd={() => setBesides(null)} />}
          <Candidates
            voicings={list}
            count={voicings.data?.count ?? 0}
            refusal={voicings.error instanceof ApiError ? voicings.error.message : null}
            inUse={inUse}
            onLook={look}
            busy={voicings.isPlaceholderData}
            kind={kind}
            onKind={setKind}
          />
          {mine && <OwnGrips chord={current} voicing={inUse} naming={naming} onNaming={setNaming} onLook={look} />}
          {path.data !== undefined && path.data.loose.length > 0 && (
            <p className="finding finding-swing">
              {path.data.loose.length} pinned grip{path.data.loose.length > 1 ? 's wait' : ' waits'} for a chord that is no longer there:{' '}
              {path.data.loose.map((pin_) => pin_.symbol).join(', ')}.
            </p>
          )}
        </aside>
      )}
    </div>
  )
}

/** Whether figures take the place of all grips in a section of a pass. */
function noGrips(timeline: Timeline | undefined, { pass, section }: Place): boolean {
  const here = timeline?.strokes.filter(({ bar }) => timeline.bars[bar]?.pass === pass && timeline.bars[bar]?.section === section) ?? []
  return here.length > 0 && here.every(({ figure_bar }) => figure_bar !== undefined)
}

/** The grip in use always stands in the list, though it may not be among the easiest; not where a kind is asked for. */
function ordered(voicings: Voicing[], current: VoicedChord | null, withCurrent: boolean): Voicing[] {
  if (!withCurrent || current === null || voicings.some((voicing) => sameFrets(voicing.frets, current.voicing.frets))) return voicings
  return [current.voicing, ...voicings]
}
