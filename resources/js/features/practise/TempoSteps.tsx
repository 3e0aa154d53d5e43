import type { PracticeSheet } from '../../api/practice'

type Props = { sheet: PracticeSheet; onTempo: (tempo: number) => void }

/** The ladder as leaning blocks: those behind are full, the one that is played is brass, those ahead are hollow. */
export function TempoSteps({ sheet: { tempos, tempo, next }, onTempo }: Props) {
  return (
    <section className="tempo-steps" aria-label="Ladder">
      <p>
        <b>Ladder</b> <span>{next.words}</span>
      </p>
      <div role="group" aria-label="Tempo">
        {tempos.map((each, place) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === tempo}
            className={each < tempo ? 'behind' : undefined}
            style={{ '--step': place / Math.max(1, tempos.length - 1) } as React.CSSProperties}
            onClick={() => onTempo(each)}
          >
            <i aria-hidden="true" />
            {each}
          </button>
        ))}
      </div>
    </section>
  )
}
