import { useEffect, useState } from 'react'

/** Before anything is heard: a recording can be dropped here. */
export function NothingHeard({ onFile }: { onFile: (file: File) => void }) {
  const [over, setOver] = useState(false)
  useEffect(() => {
    const drop = (event: DragEvent) => {
      event.preventDefault()
      setOver(false)
      const file = event.dataTransfer?.files[0]
      if (file !== undefined) onFile(file)
    }
    const drag = (event: DragEvent) => {
      event.preventDefault()
      setOver(event.type === 'dragover')
    }
    window.addEventListener('dragover', drag)
    window.addEventListener('dragleave', drag)
    window.addEventListener('drop', drop)
    return () => {
      window.removeEventListener('dragover', drag)
      window.removeEventListener('dragleave', drag)
      window.removeEventListener('drop', drop)
    }
  }, [onFile])
  return (
    <div className={over ? 'empty drop over' : 'empty drop'}>
      <h2>Nothing to listen to yet</h2>
      <p>
        Drop a recording here, or press <kbd>O</kbd>: a guitar that comps, alone or well in front. Gravik finds every strum, the tempo, how
        the off-beats lean, the chords and their grips, and drafts the song from them. WAV, MIDI, and whatever else your browser plays.
      </p>
      <p>
        A full band, or a record on the player: press <kbd>A</kbd> and tap along, beats with one hand and the comping with the other.{' '}
        <kbd>M</kbd> listens to what is played in the room.
      </p>
    </div>
  )
}
