import { Button, Segmented, Select } from 'antd'
import type { BreakdownDocument, Hand } from '../../api/types'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { SHEETS, type Sheet } from './sheets'

const ACCENTS = [
  { value: 'flat', label: 'flat' },
  { value: 'back-beat', label: 'back-beat' },
  { value: 'boom-chuck', label: 'boom-chuck' },
  { value: 'reset', label: 'first beat resets' },
]
const LENGTHS = [
  { value: 'ringing', label: 'ringing' },
  { value: 'long-dry', label: 'long, dry, long, dry' },
  { value: 'release-2-4', label: 'release on 2 and 4' },
  { value: 'release-all', label: 'release on all' },
]

type Props = {
  hand: Hand | undefined
  sheet: Sheet
  onSheet: (sheet: Sheet) => void
  line: number
  onLine: () => void
  comparing: boolean
  onCompare: () => void
  onLay: (shape: { accents?: string; lengths?: string }) => void
  schools: { slug: BreakdownDocument['school']; name: string }[]
}

/** What is done to the pattern as a whole. */
export function HandTools({ hand, sheet, onSheet, line, onLine, comparing, onCompare, onLay, schools }: Props) {
  const { store, level, setLevel } = useBench()
  const document = useDocument()
  const mine = useMine()
  const lines = document.pattern.streams
  return (
    <div className="hand-tools">
      {SHEETS.filter(({ edits }) => mine || !edits).map(({ sheet: each, key, label }) => (
        <Button key={each} size="small" aria-pressed={sheet === each} onClick={() => onSheet(sheet === each ? 'wave' : each)}>
          {label} <kbd>{key.toUpperCase()}</kbd>
        </Button>
      ))}
      {(mine || lines.length === 2) && (
        <Button size="small" aria-pressed={line === 1} onClick={onLine}>
          {line === 1 ? `Line: ${lines[1]?.name ?? 'bass'}` : lines.length === 2 ? `Line: ${lines[0].name}` : 'Second line'} <kbd>V</kbd>
        </Button>
      )}
      <label className="inline">
        Level <Segmented aria-label="Level" size="small" options={[1, 2, 3]} value={level} onChange={(to) => setLevel(Number(to))} />
      </label>
      {mine && <Select aria-label="Weight" size="small" style={{ width: 132 }} placeholder="lay weight over" value={null} options={ACCENTS} onChange={(accents: string | null) => accents !== null && onLay({ accents })} />}
      {mine && <Select aria-label="Lengths" size="small" style={{ width: 142 }} placeholder="lay lengths over" value={null} options={LENGTHS} onChange={(lengths: string | null) => lengths !== null && onLay({ lengths })} />}
      <Button size="small" aria-pressed={comparing} onClick={onCompare}>
        {comparing ? 'End comparing' : 'Compare'} <kbd>=</kbd>
      </Button>
      {sheet === 'wave' && hand !== undefined && hand.advice.school !== document.school && (
        <span className="advice">
          {hand.advice.reason}{' '}
          {mine && (
            <Button size="small" onClick={() => store.change((d) => ({ ...d, school: hand.advice.school }))}>
              {schools.find(({ slug }) => slug === hand.advice.school)?.name}
            </Button>
          )}
        </span>
      )}
    </div>
  )
}
