import { Button, Popover, Segmented } from 'antd'
import type { ReactNode } from 'react'
import { useChoices } from '../../api/queries'
import { withPattern } from '../../api/desk'
import type { Hand, School } from '../../api/types'
import { useBench, useMine } from '../bench/benchContext'
import { SHEETS, type Sheet } from './sheets'

type Props = {
  hand: Hand | undefined
  sheet: Sheet
  onSheet: (sheet: Sheet) => void
  line: number
  onLine: () => void
  comparing: boolean
  onCompare: () => void
  /** chooses whose strokes */
  chooser: ReactNode
  /** what arranges the pattern as a whole, for who may */
  children: ReactNode
}

/** What is done to the pattern as a whole. */
export function HandTools({ hand, sheet, onSheet, line, onLine, comparing, onCompare, chooser, children }: Props) {
  const { store, desk, level, setLevel } = useBench()
  const { pattern } = desk
  const mine = useMine()
  const lines = pattern.streams
  const schools = useChoices().data?.schools
  return (
    <div className="hand-tools">
      <h2>Hand</h2>
      {chooser}
      {SHEETS.filter(({ edits, figures }) => (mine || !edits) && (desk.figure === undefined || figures)).map(
        ({ sheet: each, key, label }) => (
          <Button key={each} size="small" aria-pressed={sheet === each} onClick={() => onSheet(sheet === each ? 'wave' : each)}>
            {label} <kbd>{key.toUpperCase()}</kbd>
          </Button>
        ),
      )}
      {(mine || lines.length === 2) && (
        <Button size="small" aria-pressed={line === 1} onClick={onLine}>
          {line === 1 ? `Line: ${lines[1]?.name ?? 'bass'}` : lines.length === 2 ? `Line: ${lines[0].name}` : 'Second line'} <kbd>V</kbd>
        </Button>
      )}
      <label className="inline">
        Level <Segmented aria-label="Level" size="small" options={[1, 2, 3]} value={level} onChange={(to) => setLevel(Number(to))} />
        {hand !== undefined && hand.same_levels.length > 0 && (
          <small className="muted">{hand.same_levels.map((each) => `${each} and ${each + 1} are alike`).join(', ')} here</small>
        )}
      </label>
      {children !== false && (
        <Popover trigger="click" placement="bottom" content={children}>
          <Button size="small">Arrange …</Button>
        </Popover>
      )}
      <Button size="small" aria-pressed={comparing} onClick={onCompare}>
        {comparing ? 'End comparing' : 'Compare'} <kbd>=</kbd>
      </Button>
      {sheet === 'wave' && hand?.runs_on === true && (
        <span className="advice">
          This pattern runs on from section to section.{' '}
          {mine && (
            <Button size="small" onClick={() => store.change((d) => withPattern(d, pattern.id, (each) => ({ ...each, runsOn: false })))}>
              Begin anew with each
            </Button>
          )}
        </span>
      )}
      {sheet === 'wave' && hand !== undefined && desk.figure === undefined && hand.advice.school !== pattern.school && (
        <span className="advice">
          {hand.advice.reason}{' '}
          {mine && (
            <Button
              size="small"
              onClick={() => store.change((d) => withPattern(d, pattern.id, (each) => ({ ...each, school: hand.advice.school as School })))}
            >
              {schools?.find(({ slug }) => slug === hand.advice.school)?.name}
            </Button>
          )}
        </span>
      )}
    </div>
  )
}
