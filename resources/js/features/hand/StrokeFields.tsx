import { InputNumber, Select } from 'antd'
import { useChoices } from '../../api/queries'
import type { StrokeDocument } from '../../api/types'
import { StrokeMore } from './StrokeMore'

const ACCENTS = ['soft', 'firm', 'hard', 'hardest']
const ZONES = [
  { value: 'all', label: 'whole grip' },
  { value: 'bass', label: 'bass note' },
  { value: 'low', label: 'low half' },
  { value: 'middle', label: 'middle' },
  { value: 'high', label: 'high half' },
]

const GRIPS = [
  { chord: 'this', name: 'this grip' },
  { chord: 'next', name: 'the next' },
  { chord: 'open', name: 'open' },
] as const

const STROKE_LEVELS = [
  { value: 0, label: 'as its place asks' },
  { value: 1, label: 'level 1' },
  { value: 2, label: 'level 2' },
  { value: 3, label: 'level 3' },
]

const ENDED_BY: Record<string, string> = {
  chuck: ': the fretting hand lies flat',
  'fretting-hand': ', then the fretting hand lets go',
  'pick-hand': ', then the palm stops it',
  short: ', then the fretting hand lets go',
  'palm-mute': ' under the palm',
  ghost: ', hardly touched',
  ring: '',
}

type OrnamentDocument = NonNullable<StrokeDocument['ornament']>

const ORNAMENTS: { value: '' | OrnamentDocument['kind']; label: string }[] = [
  { value: '', label: 'none' },
  { value: 'slide-in', label: 'slide in' },
  { value: 'slide-out', label: 'slide out' },
  { value: 'hammer-on', label: 'hammer on' },
  { value: 'pull-off', label: 'pull off' },
  { value: 'grace', label: 'grace note' },
  { value: 'bend-release', label: 'bend and release' },
  { value: 'bend', label: 'bend and hold' },
  { value: 'bent', label: 'strike while bent' },
  { value: 'release', label: 'release the bend' },
  { value: 'vibrato', label: 'vibrato' },
  { value: 'drag', label: 'drag, a slow sweep' },
]

type Props = {
  stroke: StrokeDocument
  /** which way the hand goes here */
  planned: 'down' | 'up' | undefined
  /** how long it sounds, the first time it comes */
  sounds: { beats: number; seconds: number } | undefined
  mine: boolean
  onAccent: (accent: number) => void
  onPart: (part: Partial<StrokeDocument>) => void
  onDirection: (direction: 'down' | 'up') => void
}

/** What a stroke has: accent, direction, grip, strings, ornament, ending. */
export function StrokeFields({ stroke, planned, sounds, mine, onAccent, onPart, onDirection }: Props) {
  const ornaments = useChoices().data?.ornaments ?? []
  /** where it comes from or goes to unless the teacher says otherwise; null where it moves nowhere */
  const usualFrets = (kind: string): number | null => ornaments.find((each) => each.kind === kind)?.usual_frets ?? null
  const ornament = (kind: string): OrnamentDocument | null =>
    kind === '' ? null : { kind: kind as OrnamentDocument['kind'], frets: usualFrets(kind) ?? 0 }
  return (
    <div className="stroke-fields">
      <span className="label">
        Accent <kbd>A</kbd>
      </span>
      <div className="choices four" role="group" aria-label="Accent">
        {ACCENTS.map((name, accent) => (
          <button
            key={name}
            type="button"
            disabled={!mine || stroke.articulation === 'ghost'}
            aria-pressed={(stroke.accent ?? 1) === accent}
            onClick={() => onAccent(accent)}
          >
            {name}
          </button>
        ))}
      </div>
      <span className="label">
        Direction <kbd>D</kbd> <kbd>U</kbd>
      </span>
      <div className="choices" role="group" aria-label="Direction">
        {(['down', 'up'] as const).map((direction) => (
          <button
            key={direction}
            type="button"
            disabled={!mine}
            aria-pressed={planned === direction}
            onClick={() => onDirection(direction)}
          >
            {direction}
            {stroke.direction === direction && (stroke.fixed ?? []).includes('direction') ? ', fixed' : ''}
          </button>
        ))}
      </div>
      <span className="label">
        Sounds <kbd>P</kbd> <kbd>O</kbd>
      </span>
      <div className="choices three" role="group" aria-label="Sounds">
        {GRIPS.map(({ chord, name }) => (
          <button
            key={chord}
            type="button"
            disabled={!mine}
            aria-pressed={(stroke.chord ?? 'this') === chord}
            onClick={() => onPart({ chord })}
          >
            {name}
          </button>
        ))}
      </div>
      <div className="field-row two">
        <label>
          <span className="label">Strings</span>
          <Select
            aria-label="Strings"
            disabled={!mine || stroke.strings !== undefined}
            placeholder="single ones"
            value={stroke.strings === undefined ? (stroke.zone ?? 'all') : null}
            options={ZONES}
            onChange={(zone: StrokeDocument['zone']) => onPart({ zone })}
          />
        </label>
        <label>
          <span className="label">Played from</span>
          <Select
            aria-label="Level of the stroke"
            disabled={!mine}
            value={stroke.level ?? 0}
            options={STROKE_LEVELS}
            onChange={(level: number) => onPart({ level: level === 0 ? undefined : (level as 1 | 2 | 3) })}
          />
        </label>
      </div>
      <span className="label">Ornament</span>
      <div className="field-row">
        <Select
          aria-label="Ornament"
          disabled={!mine}
          value={stroke.ornament?.kind ?? ''}
          options={ORNAMENTS}
          onChange={(kind: string) => onPart({ ornament: ornament(kind) })}
        />
        {stroke.ornament != null && usualFrets(stroke.ornament.kind) !== null && (
          <InputNumber
            aria-label="Frets"
            disabled={!mine}
            min={-12}
            max={12}
            precision={0}
            value={stroke.ornament.frets ?? 0}
            onChange={(frets) => frets !== null && stroke.ornament != null && onPart({ ornament: { kind: stroke.ornament.kind, frets } })}
          />
        )}
      </div>
      {sounds !== undefined && (
        <p className="muted">
          Sounds for {sounds.beats.toFixed(2)} of a beat, {Math.round(1000 * sounds.seconds)} ms
          {ENDED_BY[stroke.articulation === 'chuck' ? 'chuck' : (stroke.stoppedBy ?? stroke.articulation ?? 'ring')]}.
        </p>
      )}
      <details>
        <summary>More: strings, hands, ending, placement</summary>
        <StrokeMore stroke={stroke} mine={mine} onPart={onPart} />
      </details>
    </div>
  )
}
