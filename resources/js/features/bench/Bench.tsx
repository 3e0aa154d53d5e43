import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useEffect, useLayoutEffect, useMemo, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useStore } from 'zustand'
import { ApiError } from '../../api/client'
import { deskOf, type Place } from '../../api/desk'
import { fetchBreakdown, keys, usePlaces, useTimeline, type Played } from '../../api/queries'
import type { Arrangement, StoredBreakdown } from '../../api/types'
import { band, output } from '../../audio/band'
import { chunk } from '../../ui/chunk'
import { useKeys } from '../../ui/keys'
import { Later } from '../../ui/Later'
import { usePageTitle } from '../../ui/usePageTitle'
import { useTabState } from '../../ui/useTabState'
import { Transport } from '../transport/Transport'
import { BenchContext, type BenchValue } from './benchContext'
import { openDocument } from './documentStore'
import { browserKeeper, refreshDraft } from './keeper'
import { BenchFinder } from './BenchFinder'
import { FirstPath } from './FirstPath'
import { Shortcuts } from './Shortcuts'
import { StaleSheet } from './StaleSheet'
import { StationBar } from './StationBar'
import { isStation, STATIONS, type Station } from './stations'
import { TitleRow } from './TitleRow'

/** The page is drawn first; the sounds are needed a moment later. */
const UNTIL_DRAWN_MS = 400
const STATION_COMES = 'Laying out the station …'
const load = {
  listen: () => import('../listen/ListenStation'),
  chart: () => import('../chart/ChartStation'),
  shapes: () => import('../shapes/ShapesStation'),
  hand: () => import('../hand/HandStation'),
  band: () => import('../band/BandStation'),
  steps: () => import('../steps/StepsStation'),
  lock: () => import('../lock/LockStation'),
  log: () => import('../log/LogStation'),
  handout: () => import('../handout/HandoutStation'),
}
const ListenStation = chunk(load.listen, STATION_COMES)
const ChartStation = chunk(load.chart, STATION_COMES)
const ShapesStation = chunk(load.shapes, STATION_COMES)
const HandStation = chunk(load.hand, STATION_COMES)
const BandStation = chunk(load.band, STATION_COMES)
const StepsStation = chunk(load.steps, STATION_COMES)
const LockStation = chunk(load.lock, STATION_COMES)
const LogStation = chunk(load.log, STATION_COMES)
const HandoutStation = chunk(load.handout, STATION_COMES)

/** Fetches a breakdown and puts it on the bench. */
export default function BenchPage() {
  const { id = '', station } = useParams()
  // The station's code comes along with the breakdown, not after it; where it fails, the chunk tries again.
  useEffect(() => {
    if (isStation(station)) load[station]().catch(() => undefined)
  }, [station])
  const stored = useQuery({ queryKey: keys.breakdown(id), queryFn: () => opened(id), staleTime: Infinity, gcTime: 0 })
  if (stored.isPending) return <p className="loading">Fetching the breakdown …</p>
  if (stored.data === undefined) {
    return (
      <main className="plain-page">
        <h1>This breakdown cannot be opened</h1>
        <p>{stored.error instanceof ApiError ? stored.error.message : 'Try again in a moment.'}</p>
        <Link to="/">Back to the shelf</Link>
      </main>
    )
  }
  return <Bench key={id} stored={stored.data} />
}

/** A breakdown as it is saved, and its draft ready to be taken up. */
async function opened(id: string): Promise<StoredBreakdown> {
  const stored = await fetchBreakdown(id)
  await refreshDraft(stored)
  return stored
}

function Bench({ stored }: { stored: StoredBreakdown }) {
  const { station: asked } = useParams()
  const navigate = useNavigate()
  const client = useQueryClient()
  const [store] = useState(() => openDocument(stored, browserKeeper))
  const document = useStore(store, (state) => state.document)
  const save = useStore(store, (state) => state.save)
  const [tempo, setTempo] = useTabState(`tempo:${stored.id}`, document.start.tempo)
  const [place, setPlace] = useTabState<Partial<Place>>(`place:${stored.id}`, {})
  const places = usePlaces(document, document.patterns.length + document.lines.length > 2).data
  const [arrangement, setArrangement] = useTabState<Arrangement>(`arrangement:${stored.id}`, 'with-band')
  const desk = useMemo(() => deskOf(document, place, places, arrangement), [document, place, places, arrangement])
  const [level, setLevel] = useState(3)
  const [stage, setStage] = useTabState<string | null>(`stage:${stored.id}`, null)
  const [help, setHelp] = useState(false)
  const [finding, setFinding] = useState(false)
  const station: Station = isStation(asked) ? asked : stored.mine ? 'chart' : 'lock'
  // Only where the lesson is given and practised a stage lies on the stand; elsewhere it is the song.
  const onStand = station === 'steps' || station === 'lock' ? stage : null
  const played = useMemo<Played>(() => ({ stage: onStand, arrangement }), [onStand, arrangement])
  const timeline = useTimeline(desk, tempo, level, played)
  usePageTitle(`${document.title} · ${STATIONS.find((each) => each.id === station)?.name ?? ''}`)

  // Before the effects of what lies on the bench: the transport starts the band as soon as it sees a tune.
  useLayoutEffect(() => {
    if (timeline.data !== undefined) band.setTimeline(timeline.data)
  }, [timeline.data])

  useEffect(() => {
    if (timeline.data === undefined) return
    const { events } = timeline.data
    const soon = setTimeout(() => output.prepare(events), UNTIL_DRAWN_MS)
    return () => clearTimeout(soon)
  }, [timeline.data])

  useEffect(() => {
    const leave = (event: BeforeUnloadEvent) => {
      void store.saveNow()
      if (['waiting', 'saving'].includes(store.getState().save.status)) event.preventDefault()
    }
    const back = () => void store.saveNow()
    window.addEventListener('beforeunload', leave)
    window.addEventListener('gravik:signed-in', back)
    window.addEventListener('online', back)
    return () => {
      window.removeEventListener('beforeunload', leave)
      window.removeEventListener('gravik:signed-in', back)
      window.removeEventListener('online', back)
      band.stop()
      store.close()
      void client.invalidateQueries({ queryKey: keys.shelf })
    }
  }, [store, client])

  const go = (to: Station) => void navigate(`/breakdown/${stored.id}/${to}`)
  useKeys({
    '?': () => setHelp(true),
    q: () => setFinding(true),
    'mod+z': () => store.undo(),
    'mod+Shift+z': () => store.redo(),
    'mod+y': () => store.redo(),
    'mod+s': () => void store.saveNow(),
    ...Object.fromEntries(STATIONS.map((each, index) => [`alt+${index + 1}`, () => go(each.id)])),
    'alt+0': () => void navigate('/'),
  })

  const value = useMemo<BenchValue>(
    () => ({
      store,
      desk,
      places: places ?? [],
      setPlace,
      tempo,
      setTempo,
      level,
      setLevel,
      stage,
      setStage,
      arrangement,
      setArrangement,
      played,
      timeline: timeline.data,
    }),
    [store, desk, places, setPlace, tempo, setTempo, level, stage, setStage, arrangement, setArrangement, played, timeline.data],
  )
  const lean = 60 * ((timeline.data?.p ?? 0.5) - 0.5)
  return (
    <BenchContext.Provider value={value}>
      <div className="bench" style={{ '--lean': `${-lean.toFixed(2)}deg` } as React.CSSProperties}>
        <StationBar station={station} onGo={go} save={save} onHelp={() => setHelp(true)} />
        <TitleRow />
        <FirstPath station={station} onGo={go} />
        <main className="station">
          {timeline.error instanceof ApiError && ![401, 419].includes(timeline.error.status) && (
            <p role="alert" className="finding finding-off">
              {timeline.error.message}
            </p>
          )}
          <Later turn={1} until={<p className="loading">{STATION_COMES}</p>}>
            {station === 'listen' && <ListenStation />}
            {station === 'chart' && <ChartStation />}
            {station === 'shapes' && <ShapesStation />}
            {station === 'hand' && <HandStation />}
            {station === 'band' && <BandStation />}
            {station === 'steps' && <StepsStation onPractise={() => go('lock')} />}
            {station === 'lock' && <LockStation />}
            {station === 'log' && <LogStation onPractise={() => go('lock')} />}
            {station === 'handout' && <HandoutStation />}
          </Later>
        </main>
        <Later turn={3} until={<footer className="transport" aria-busy="true" aria-label="Transport" />}>
          <Transport />
        </Later>
        {save.status === 'stale' && <StaleSheet save={save} />}
        {save.status === 'failed' && (
          <div role="status" className="save-failed">
            {save.message}{' '}
            <Button size="small" onClick={() => void store.saveNow()}>
              Save again
            </Button>
          </div>
        )}
        {finding && <BenchFinder onClose={() => setFinding(false)} />}
        <Shortcuts open={help} onClose={() => setHelp(false)} />
      </div>
    </BenchContext.Provider>
  )
}
