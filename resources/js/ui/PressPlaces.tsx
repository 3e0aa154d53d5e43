import { LAST_FRET, useLongNeck } from './LongNeck'

/** Every place of a long neck as something to press: "2:5". */
export function PressPlaces({ strings, onPlace }: { strings: number; onPlace: (place: string) => void }) {
  const { box } = useLongNeck(strings)
  return Array.from({ length: strings }, (_, string) =>
    Array.from({ length: LAST_FRET + 1 }, (__, fret) => (
      <rect key={`${string}-${fret}`} className="press-place" {...box(string, fret)} onClick={() => onPlace(`${strings - string}:${fret}`)}>
        <title>{`String ${strings - string}, ${fret === 0 ? 'open' : `fret ${fret}`}`}</title>
      </rect>
    )),
  )
}
