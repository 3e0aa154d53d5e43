import { Button, Popover, Segmented } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import { ApiError } from '../../api/client'
import { usePath, useVoicings } from '../../api/queries'
import type { VoicedChord, Voicing } from '../../api/types'
import { hearGrip } from '../../audio/hearGrip'
import { band } from '../../audio/band'
import { useKeys } from '../../ui/keys'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { Candidates } from './Candidates'
import { GripTable } from './GripTable'
import { NeckSheets, type Label } from './NeckSheets'
import { NeckMapSheet } from './NeckMapSheet'
import { PathWishesForm } from './PathWishesForm'
import { StringsSheet } from './StringsSheet'

const sameFrets = (a: (number | null)[], b: (number | null)[]): boolean => a.length === b.length && a.every((fret, index) => fret === b[index])

/** A grip for every chord of the line, by the cheapest path; any other can be chosen and pinned. */
export default function ShapesStation() {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const [elsewhere, setElsewhere] = useState(false)
  const [view, setView] = useState<'sheets' | 'map' | 'strings'>('sheets')
  const path = usePath(document, elsewhere)
  const [chosen, setChosen] = useState(0)
  const [label, setLabel] = useState<Label>('degrees')
  const [tried, setTried] = useState<Voicing | null>(null)
  const chords = useMemo(() => path.data?.chords ?? [], [path.data])
  const current = chords[Math.min(chosen, chords.length - 1)] ?? null
  const voicings = useVoicings(document, current?.symbol ?? null)
  const list = useMemo(() => ordered(voicings.data?.voicings ?? [], current), [voicings.data, current])
  const inUse = tried ?? current?.voicing ?? null
  const place = list.findIndex((voicing) => inUse !== null && sameFrets(voicing.frets, inUse.frets))

  useEffect(() => setTried(null), [current?.symbol, chosen])
  useFollowPlayback(chords, setChosen)

  const look = (voicing: Voicing) => {
    setTried(voicing)
    void hearGrip(voicing)
  }
  const pin = (voicing: Voicing | null) => {
    if (current === null || voicing === null || !mine) return
    store.change((d) => ({
      ...d,
      pins: [
        ...d.pins.filter((each) => !(each.section === current.section && each.bar === current.bar && each.at === current.at)),
        { section: current.section, bar: current.bar, at: current.at, symbol: current.symbol, frets: voicing.frets as typeof d.pins[number]['frets'] },
      ],
    }))
    setTried(null)
  }
  const letGo = () => {
    if (current === null || !mine) return
    store.change((d) => ({ ...d, pins: d.pins.filter((each) => !(each.section === current.section && each.bar === current.bar && each.at === current.at)) }))
    setTried(null)
  }
  const pinAll = () => {
    store.change((d) => ({ ...d, pins: chords.map(({ section, bar, at, symbol, voicing }) => ({ section, bar, at, symbol, frets: voicing.frets as typeof d.pins[number]['frets'] })) }))
    setElsewhere(false)
  }
  const show = (asked: 'map' | 'strings') => setView((now) => (now === asked ? 'sheets' : asked))
  const walk = (by: number) => {
    const next = list[Math.min(list.length - 1, Math.max(0, place + by))]
    if (next !== undefined) look(next)
  }
  useKeys({
    ArrowDown: () => setChosen((at) => Math.min(chords.length - 1, at + 1)),
    ArrowUp: () => setChosen((at) => Math.max(0, at - 1)),
    ArrowRight: () => walk(1),
    ArrowLeft: () => walk(-1),
    Enter: () => pin(inUse),
    Delete: letGo,
    Backspace: letGo,
    h: () => inUse !== null && void hearGrip(inUse),
    e: () => setElsewhere((now) => !now),
    m: () => show('map'),
    c: () => show('strings'),
  })

  const shown = chords.map((chord, index) => (index === chosen && tried !== null ? { ...chord, voicing: tried } : chord))
  return (
    <div className="with-side">
      <div className="station-main">
        <div className="station-head">
          <h2>Neck</h2>
          {view === 'sheets' && <p className="muted">one sheet a chord, time falls; straight and green is held, bent moves</p>}
          <div className="title-actions">
            <Button type={elsewhere ? 'primary' : 'default'} aria-pressed={elsewhere} onClick={() => setElsewhere(!elsewhere)}>
              Second place <kbd className={elsewhere ? 'on-ink' : ''}>E</kbd>
            </Button>
            <Button type={view === 'map' ? 'primary' : 'default'} aria-pressed={view === 'map'} onClick={() => show('map')}>
              Map <kbd className={view === 'map' ? 'on-ink' : ''}>M</kbd>
            </Button>
            <Button type={view === 'strings' ? 'primary' : 'default'} aria-pressed={view === 'strings'} onClick={() => show('strings')}>
              Capo <kbd className={view === 'strings' ? 'on-ink' : ''}>C</kbd>
            </Button>
            {mine && (
              <Popover trigger="click" placement="bottomRight" content={<PathWishesForm />}>
                <Button>Ask of the line …</Button>
              </Popover>
            )}
            {view === 'sheets' && <Segmented aria-label="Label the dots with" options={[{ value: 'degrees', label: 'Degree' }, { value: 'notes', label: 'Note' }, { value: 'fingers', label: 'Finger' }]} value={label} onChange={setLabel} />}
          </div>
        </div>
        {path.error instanceof ApiError && <p role="alert" className="finding finding-off">{path.error.message}</p>}
        {path.isPending && path.error === null && <p className="loading">Finding grips …</p>}
        {chords.length === 0 && path.data !== undefined && (
          <div className="empty">
            <h2>No chords to hold yet</h2>
            <p>Type a chord line in Chart; the grips appear here at once.</p>
          </div>
        )}
        {elsewhere && (
          <p className="finding finding-swing">
            The same line in another place on the neck. The first one is kept.{' '}
            {mine && (
              <Button size="small" onClick={pinAll}>
                Pin this one instead
              </Button>
            )}
          </p>
        )}
        {view === 'strings' && <StringsSheet />}
        {view === 'map' && current !== null && <NeckMapSheet chord={current} strings={current.voicing.frets.length} />}
        {chords.length > 0 && view === 'sheets' && <NeckSheets chords={shown} moves={path.data?.moves ?? []} chosen={chosen} onChoose={setChosen} label={label} tuning={document.tuning} />}
      </div>
      {current !== null && inUse !== null && (
        <aside className="side wide" aria-label="Grips">
          <GripTable chord={current} voicing={inUse} tried={tried !== null} mine={mine} onPin={() => pin(inUse)} onLetGo={letGo} onHear={() => void hearGrip(inUse)} />
          <Candidates voicings={list} count={voicings.data?.count ?? 0} inUse={inUse} onLook={look} busy={voicings.isPlaceholderData} />
          {path.data !== undefined && path.data.loose.length > 0 && (
            <p className="finding finding-swing">{path.data.loose.length} pinned grip{path.data.loose.length > 1 ? 's wait' : ' waits'} for a chord that is no longer there: {path.data.loose.map((pin) => pin.symbol).join(', ')}.</p>
          )}
        </aside>
      )}
    </div>
  )
}

/** The grip in use always stands in the list, though it may not be among the easiest. */
function ordered(voicings: Voicing[], current: VoicedChord | null): Voicing[] {
  if (current === null || voicings.some((voicing) => sameFrets(voicing.frets, current.voicing.frets))) return voicings
  return [current.voicing, ...voicings]
}

/** While the band plays, the sheet of the sounding chord is the chosen one. */
function useFollowPlayback(chords: VoicedChord[], choose: (index: number) => void): void {
  const { timeline } = useBench()
  useEffect(() => {
    let shown = -1
    const timer = setInterval(() => {
      const at = band.position()
      if (at === null || at.countIn !== null || timeline === undefined) return
      const index = timeline.chords.findIndex((chord) => chord.t <= at.t && at.t < chord.until)
      if (index >= 0 && index < chords.length && index !== shown) choose(index)
      shown = index
    }, 50)
    return () => clearInterval(timer)
  }, [chords, choose, timeline])
}
