import { Button, Input } from 'antd'
import type { ChartProblem } from '../../api/types'

type Props = {
  /** what could not be read of it */
  problems: ChartProblem[]
  name?: string
  value: string
  onChange: (line: string) => void
  placeholder?: string
  disabled?: boolean
}

/** Keeps the last, empty row of what was typed as high as the others. */
const END_OF_LINE = '\u200b'

/** A typed chord line; what cannot be read is marked at its character, with the nearest that can on offer. */
export function LineField({ problems, name = 'Chord line', value, onChange, placeholder, disabled = false }: Props) {
  const fix = (problem: ChartProblem) => {
    const signs = [...value]
    const before = signs.slice(0, problem.at).join('')
    const start = before.search(/[^\s|]*$/)
    const end = problem.at + problem.length
    onChange(signs.slice(0, start).join('') + (problem.nearest ?? '') + signs.slice(end).join(''))
  }
  return (
    <div className="line-field">
      <div className="line-paper">
        <div className="line-marks" aria-hidden="true">
          {value === '' ? placeholder : marked(value, problems)}
          {END_OF_LINE}
        </div>
        <Input.TextArea
          aria-label={name}
          rows={1}
          maxLength={4000}
          disabled={disabled}
          spellCheck={false}
          placeholder={placeholder}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      </div>
      {problems.slice(0, 3).map((problem) => (
        <p key={`${problem.at}-${problem.bar}`} className="finding finding-off" role="alert">
          {problem.message}{' '}
          {problem.nearest !== null && (
            <Button size="small" onClick={() => fix(problem)}>
              Use {problem.nearest}
            </Button>
          )}
        </p>
      ))}
      {problems.length > 3 && <p className="muted">… and {problems.length - 3} more places. The other bars are already in the chart.</p>}
    </div>
  )
}

function marked(line: string, problems: ChartProblem[]) {
  const signs = [...line]
  return signs.map((sign, index) => {
    const off = problems.some((problem) => index >= problem.at && index < problem.at + problem.length)
    return off ? <mark key={index}>{sign}</mark> : <span key={index}>{sign}</span>
  })
}
