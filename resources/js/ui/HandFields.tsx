import { Checkbox, Segmented } from 'antd'

/** What a hand can do, as the core writes it: "small,no-barre,avoid-4". */
export function HandFields({ hand, onHand }: { hand: string; onHand: (hand: string) => void }) {
  const [size = 'medium', ...more] = hand.split(',')
  const save = (next: string[]) => onHand(next.join(','))
  const toggle = (word: string, on: boolean) => save([size, ...more.filter((each) => each !== word), ...(on ? [word] : [])])
  return (
    <div className="hand-form">
      <Segmented
        aria-label="Reach"
        options={[
          { value: 'small', label: 'small, 85 mm' },
          { value: 'medium', label: 'medium, 100 mm' },
          { value: 'large', label: 'large, 115 mm' },
        ]}
        value={size}
        onChange={(value) => save([value, ...more])}
      />
      <Checkbox checked={!more.includes('no-barre')} onChange={(event) => toggle('no-barre', !event.target.checked)}>
        barre
      </Checkbox>
      <Checkbox checked={more.includes('thumb')} onChange={(event) => toggle('thumb', event.target.checked)}>
        thumb over the neck
      </Checkbox>
      {[1, 2, 3, 4].map((finger) => (
        <Checkbox
          key={finger}
          checked={!more.includes(`avoid-${finger}`)}
          onChange={(event) => toggle(`avoid-${finger}`, !event.target.checked)}
        >
          finger {finger}
        </Checkbox>
      ))}
      <p className="muted">
        Reach is measured between the outer fingertips. Stop where it hurts; a hand that keeps hurting belongs before a clinician.
      </p>
    </div>
  )
}
