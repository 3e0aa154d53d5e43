import { Button } from 'antd'
import { ApiError } from '../../api/client'
import { withLine } from '../../api/desk'
import { pinned, pinOf } from '../../api/pins'
import { useFamilies } from '../../api/queries'
import type { FamilyRoute, PinDocument, VoicedChord, Voicing } from '../../api/types'
import { useBench, useMine } from '../bench/benchContext'
import { GripCard } from './GripCard'
import { gripText } from '../../ui/gripText'

type Props = { chords: VoicedChord[]; chord: VoicedChord; voicing: Voicing; onPin: (voicing: Voicing) => void }

/** One grip as a home: I, IV and V from it, the same chord in other families, and what it can take on top. */
export function FamilySheet({ chords, chord, voicing, onPin }: Props) {
  const { store, desk } = useBench()
  const mine = useMine()
  const families = useFamilies(desk, chord.symbol, gripText(voicing.frets))
  const holdTune = (route: FamilyRoute) => {
    const pins: PinDocument[] = []
    for (const each of chords) {
      const grip = route.grips.find((one) => one.symbol === each.symbol)
      if (grip !== undefined) pins.push(pinOf(each, grip.voicing.frets))
    }
    store.change((d) => withLine(d, desk.line.id, pinned(pins)))
  }
  if (families.error instanceof ApiError)
    return (
      <p role="alert" className="finding finding-off">
        {families.error.message}
      </p>
    )
  if (families.data === undefined) return <p className="loading">Looking along the neck …</p>
  const { routes, swaps, enrich } = families.data
  return (
    <section tabIndex={0} className="tool-sheet" aria-label="Families">
      <h2>From {chord.symbol} as the I</h2>
      {routes.length === 0 && (
        <p>This grip has open strings, so it stays where it is. Choose a grip without them to move it to IV and V.</p>
      )}
      <ul className="offers">
        {routes.map((route) => (
          <li key={route.way} className="offer">
            <div className="offer-words">
              <b>{route.way}</b>
              <small>
                I to IV to V and back: {route.frets} frets, {Math.round(route.travel_mm)} mm
              </small>
              {mine && chords.some((each) => route.grips.some((grip) => grip.symbol === each.symbol)) && (
                <Button size="small" onClick={() => holdTune(route)}>
                  Hold the tune this way
                </Button>
              )}
            </div>
            <div className="grip-row">
              {route.grips.map((grip, at) => (
                <GripCard key={at} {...grip} />
              ))}
            </div>
          </li>
        ))}
      </ul>
      {swaps.length > 0 && (
        <>
          <h3>The same chord in other families, nearest first</h3>
          <div className="grip-row">
            {swaps.map((swap) => (
              <span key={swap.frets.join()} className="grip-choice">
                <GripCard symbol={`${swap.family ?? ''} shape`} voicing={swap} />
                {mine && (
                  <Button size="small" onClick={() => onPin(swap)}>
                    Pin it
                  </Button>
                )}
              </span>
            ))}
          </div>
        </>
      )}
      <h3>Notes of the key that this hand can add on top</h3>
      {enrich.length === 0 && (
        <p className="muted">None here: beside others who carry the harmony a shell stays plain, or the fingers are used up.</p>
      )}
      <div className="grip-row">
        {enrich.map((each) => (
          <span key={`${each.string}-${each.fret}`} className="grip-choice">
            <GripCard
              symbol={`+ ${each.degree}`}
              voicing={each.voicing}
              note={each.fights ? 'fights the chord' : `string ${each.string}, ${each.fret === 0 ? 'open' : `fret ${each.fret}`}`}
              differs={each.fights}
            />
            {mine && (
              <Button size="small" onClick={() => onPin(each.voicing)}>
                Pin it
              </Button>
            )}
          </span>
        ))}
      </div>
    </section>
  )
}
