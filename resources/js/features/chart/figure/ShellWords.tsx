import type { LaidFigure } from '../../../api/types'

/** What the fretting hand has left for the line while it holds the grip, and where the line leaves room for chords. */
export function ShellWords({ laid }: { laid: LaidFigure }) {
  const notes = laid.steps.flatMap(({ notes: each }) => each)
  const letGo = [...new Set(notes.filter(({ way }) => way === 'by-letting-go').map((note) => `${note.string}:${note.fret}`))]
  const taken = notes.filter(({ way }) => way === 'free-finger')
  const fingers = [...new Set(taken.flatMap(({ fingers: each }) => each))].sort()
  return (
    <>
      {laid.holds && notes.length > 0 && (
        <p className="shell-words">
          While the grip of {laid.over} is held, {fingersInWords(laid.free)}.{' '}
          {letGo.length > 0 ? (
            <span className="off">The hand has to let it go for {letGo.join(', ')}: fix that note elsewhere, or choose another hand.</span>
          ) : fingers.length > 0 ? (
            `Every note can be had over it, with ${fingers.length === 1 ? 'finger' : 'fingers'} ${listed(fingers)}.`
          ) : (
            'Every note lies in the grip or open.'
          )}
        </p>
      )}
      {laid.rooms.length > 0 && notes.length > 0 && (
        <p className="muted">The line rests for a beat and more from {listed(laid.rooms)}: room for a chord.</p>
      )}
    </>
  )
}

const fingersInWords = (free: number[]): string =>
  free.length === 0 ? 'no finger is free' : free.length === 1 ? `finger ${free[0]} is free` : `fingers ${listed(free)} are free`

const listed = (words: (string | number)[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
