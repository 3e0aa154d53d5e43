import { Select } from 'antd'
import type { BreakdownDocument } from '../../../api/types'

type Props = { document: BreakdownDocument; parts: string[] | null; onParts: (parts: string[] | null) => void }

/** Who plays the figure: the guitar, or several in unison. Nothing to choose where only drums play along. */
export function FigureParts({ document, parts, onParts }: Props) {
  const pitched = document.parts.filter(({ instrument }) => instrument !== 'drums')
  const mine = pitched.find(({ instrument }) => instrument === 'guitar')?.id ?? 'guitar'
  if (pitched.length < 2) return null
  return (
    <Select
      mode="multiple"
      aria-label="Who plays it"
      className="figure-parts"
      value={parts ?? [mine]}
      options={pitched.map(({ id }) => ({ value: id, label: id.replace('-', ' ') }))}
      onChange={(chosen: string[]) => onParts(chosen.length === 0 || (chosen.length === 1 && chosen[0] === mine) ? null : chosen)}
      popupMatchSelectWidth={false}
    />
  )
}
