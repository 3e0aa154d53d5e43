import { Button, Input } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { useChoices, useGripNames, useVoicings, type NeckAsked } from '../../api/queries'
import type { ChordName, Voicing } from '../../api/types'
import { hearGrip } from '../../audio/hearGrip'
import { LAST_FRET } from '../../ui/LongNeck'
import { MiniNeck } from '../../ui/MiniNeck'
import { gripText, moved, readGrip, type Grip } from '../../ui/gripText'
import { PressNeck } from './PressNeck'
import { Dialog } from '../../ui/Dialog'

type Neck = NeckAsked & { key: string }
type Props = { neck: Neck; onClose: () => void; onUse?: (symbol: string, frets: Grip) => void }

/** From a grip to its names and from a name to its grips, whatever is on the bench. */
export default function QuickFinder({ neck, onClose, onUse }: Props) {
  const strings =
    useChoices().data?.tunings.find((tuning) => tuning.slug === neck.tuning)?.strings.length ??
    (neck.tuning.includes(',') ? neck.tuning.split(',').length : 6)
  const [typed, setTyped] = useState('')
  const [grip, setGrip] = useState<Grip>(() => Array.from({ length: strings }, () => null))
  const symbol = typed.trim() === '' || readGrip(typed, strings) !== null || /^[x\d\s,-]+$/i.test(typed.trim()) ? null : typed.trim()
  const named = useGripNames(grip, { key: neck.key, tuning: neck.tuning, capo: neck.capo })
  const grips = useVoicings(neck, symbol)
  const sounding = grip.filter((fret) => fret !== null).length
  const names = sounding >= 2 ? (named.data?.names ?? []) : []
  const voicing = sounding >= 2 ? (named.data?.voicing ?? null) : null
  const show = (next: Grip) => {
    setGrip(next)
    setTyped(gripText(next))
  }
  const type = (text: string) => {
    setTyped(text)
    const read = readGrip(text, strings)
    if (read !== null) setGrip(read)
  }

  return (
    <Dialog open title="What is this grip? Where is this chord?" width={940} footer={null} onCancel={onClose}>
      <div className="quick-finder">
        <Input
          autoFocus
          aria-label="Grip or chord"
          placeholder="x 7 8 7 8 x, or C9; or press strings on the neck"
          value={typed}
          onChange={(event) => type(event.target.value)}
        />
        <PressNeck grip={grip} degrees={degreesOf(grip, names[0])} root={voicing?.root ?? null} onGrip={show} />
        {voicing !== null && (
          <p className="muted">
            Notes {voicing.notes.filter((note) => note !== null).join(' ')} · fingers{' '}
            {voicing.fingers.map((finger) => finger ?? 'x').join(' ')} ·{' '}
            {voicing.barres.length === 0
              ? 'no barre'
              : voicing.barres.map((barre) => `barre at ${barre.fret}, strings ${barre.from} to ${barre.to}`).join(', ')}{' '}
            · spans {Math.round(voicing.span_mm)} mm
          </p>
        )}
        <div className="button-row">
          <Button onClick={() => show(moved(grip, -1, LAST_FRET))}>A fret down</Button>
          <Button onClick={() => show(moved(grip, 1, LAST_FRET))}>A fret up</Button>
          <Button disabled={voicing === null} onClick={() => voicing !== null && void hearGrip(voicing)}>
            Hear
          </Button>
          <Button onClick={() => show(grip.map(() => null))}>Clear</Button>
        </div>
        {symbol === null ? (
          <Names
            names={names}
            asked={sounding >= 2 && !named.isPlaceholderData}
            keyName={neck.key}
            onUse={onUse === undefined ? undefined : (name) => onUse(name, grip)}
          />
        ) : grips.error instanceof ApiError ? (
          <p role="alert" className="finding finding-off">
            {grips.error.message}
          </p>
        ) : (
          <Grips
            voicings={grips.data?.voicings ?? []}
            onShow={(found) => {
              show(found.frets)
              void hearGrip(found)
            }}
          />
        )}
      </div>
    </Dialog>
  )
}

function Names({
  names,
  asked,
  keyName,
  onUse,
}: {
  names: ChordName[]
  asked: boolean
  keyName: string
  onUse: ((symbol: string) => void) | undefined
}) {
  if (!asked)
    return <p className="muted">Let at least two strings sound; every name they can have appears here, those that fit {keyName} first.</p>
  if (names.length === 0) return <p className="finding finding-swing">No chord has just these notes. Move or mute a string.</p>
  return (
    <ol className="name-list" aria-label="Names">
      {names.slice(0, 6).map((name, index) => (
        <li key={name.symbol} className={index === 0 ? 'first' : ''}>
          <b>{name.symbol}</b>
          <span>{name.degrees.join(' ')}</span>
          <span className="muted">
            {index === 0 ? '' : 'also: '}
            {name.why}
          </span>
          {onUse !== undefined && (
            <Button size="small" onClick={() => onUse(name.symbol)}>
              Pin as {name.symbol}
            </Button>
          )}
        </li>
      ))}
    </ol>
  )
}

function Grips({ voicings, onShow }: { voicings: Voicing[]; onShow: (voicing: Voicing) => void }) {
  return (
    <div className="grip-shelf" aria-label="Grips">
      {voicings.slice(0, 12).map((voicing) => (
        <button key={gripText(voicing.frets)} type="button" onClick={() => onShow(voicing)}>
          <MiniNeck voicing={voicing} />
          <b>{gripText(voicing.frets)}</b>
          <small>{voicing.degrees.filter((degree) => degree !== null).join(' ')}</small>
          <small>
            {Math.round(voicing.span_mm)} mm{voicing.barres.length > 0 ? ', barre' : ''}
          </small>
        </button>
      ))}
    </div>
  )
}

/** The first name's degrees, string by string. */
function degreesOf(grip: Grip, name: ChordName | undefined): (string | null)[] {
  let next = 0
  return grip.map((fret) => (fret === null ? null : (name?.degrees[next++] ?? null)))
}
