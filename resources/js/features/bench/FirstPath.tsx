import { Button } from 'antd'
import { useEffect, useState } from 'react'
import { useBench, useDocument, useMine } from './benchContext'
import { endFirstPath, FIRST_STEPS, firstPath, keepFirstPath } from './firstPath'
import { STATIONS, type Station } from './stations'

/** The way through the stations on a first breakdown: skipped at any time, gone on with after a reload. */
export function FirstPath({ station, onGo }: { station: Station; onGo: (station: Station) => void }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const { id } = store.getState()
  const [path, setPath] = useState(firstPath)
  const own = path !== null && mine && (path.breakdown === null || path.breakdown === id)
  useEffect(() => {
    if (!own || (path.breakdown === id && path.seen.includes(station))) return
    const next = { breakdown: id, seen: [...new Set([...path.seen, station])] }
    keepFirstPath(next)
    setPath(next)
  }, [own, path, id, station])
  if (!own) return null
  const done = FIRST_STEPS.map((step) => path.seen.includes(step.station) && (step.done?.(document) ?? true))
  const here = FIRST_STEPS.findIndex((step) => step.station === station)
  const next = done.findIndex((each, place) => !each && place !== here)
  const end = () => {
    endFirstPath()
    setPath(null)
  }
  const nameOf = (of: Station | undefined) => STATIONS.find((each) => each.id === of)?.name
  return (
    <section className="first-path" aria-label="Your first breakdown">
      <ol>
        {FIRST_STEPS.map((step, place) => (
          <li key={step.station} className={[place === here ? 'here' : '', done[place] ? 'done' : ''].join(' ').trim()}>
            <button type="button" onClick={() => onGo(step.station)} aria-current={place === here ? 'step' : undefined}>
              {nameOf(step.station)}
              <span className="unseen">{done[place] ? ', done' : ''}</span>
            </button>
          </li>
        ))}
      </ol>
      <p>{FIRST_STEPS[here]?.words ?? 'Go on where you like.'}</p>
      {next === -1 ? (
        <Button size="small" type="primary" onClick={end}>
          That was all of it
        </Button>
      ) : (
        <>
          <Button
            size="small"
            type={done[here] === true ? 'primary' : 'default'}
            onClick={() => onGo(FIRST_STEPS[next]?.station ?? 'chart')}
          >
            On to {nameOf(FIRST_STEPS[next]?.station)}
          </Button>
          <Button size="small" onClick={end}>
            I find my way
          </Button>
        </>
      )}
    </section>
  )
}
