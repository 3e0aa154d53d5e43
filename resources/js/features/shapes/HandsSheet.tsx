import { useQueryClient } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { saveHand, useEasier, useStudents } from '../../api/queries'
import type { Student, VoicedChord, Voicing } from '../../api/types'
import { HandFields } from '../../ui/HandFields'
import { useDesk } from '../bench/benchContext'
import { GripCard } from './GripCard'

type Props = { chords: VoicedChord[]; onPin: (chord: VoicedChord, voicing: Voicing) => void }

/** Whose hands the line has to fit, what each can do, and easier grips where one cannot take what is there. */
export function HandsSheet({ chords, onPin }: Props) {
  const students = useStudents(true)
  const [chosen, setChosen] = useState<number | null>(null)
  const list = students.data ?? []
  const student = list.find((each) => each.id === chosen) ?? list[0]
  if (students.data !== undefined && student === undefined) {
    return (
      <div className="empty">
        <h2>No students yet</h2>
        <p>Assign a breakdown to a student; then say here what their hands can do.</p>
      </div>
    )
  }
  return (
    <section tabIndex={0} className="tool-sheet" aria-label="Hands">
      <div className="tool-head">
        <h2>Whose hand?</h2>
        {student !== undefined && (
          <Segmented
            aria-label="Student"
            options={list.map((each) => ({ value: each.id, label: each.name }))}
            value={student.id}
            onChange={setChosen}
          />
        )}
      </div>
      {student !== undefined && <HandForm student={student} />}
      {student !== undefined && <Easier student={student} chords={chords} onPin={onPin} />}
    </section>
  )
}

function HandForm({ student }: { student: Student }) {
  const client = useQueryClient()
  const save = async (hand: string) => {
    const saved = await saveHand(student.id, hand)
    client.setQueryData<Student[]>(['students'], (all) => all?.map((each) => (each.id === saved.id ? saved : each)))
  }
  return <HandFields hand={student.hand} onHand={(hand) => void save(hand)} />
}

function Easier({ student, chords, onPin }: Props & { student: Student }) {
  const hard = useEasier(useDesk(), student.hand)
  if (hard.error instanceof ApiError)
    return (
      <p role="alert" className="finding finding-off">
        {hard.error.message}
      </p>
    )
  if (hard.data === undefined) return <p className="loading">Trying the grips …</p>
  if (hard.data.length === 0) return <p className="finding finding-held">{student.name} can take every grip of this line.</p>
  return (
    <ul className="offers">
      {hard.data.map((each) => {
        const chord = chords[each.chord]
        return (
          chord !== undefined && (
            <li key={each.chord} className="offer">
              <div className="offer-words">
                <b>
                  {each.symbol}, bar {chord.form_bar + 1}
                </b>
                <small>{each.why}</small>
                {each.instead !== null && (
                  <Button size="small" onClick={() => each.instead !== null && onPin(chord, each.instead)}>
                    Pin the easier one
                  </Button>
                )}
                {each.refusal !== null && <small>{each.refusal}</small>}
              </div>
              <div className="grip-row">
                <GripCard symbol="as it is" voicing={chord.voicing} />
                {each.instead !== null && (
                  <>
                    <span className="arrow">→</span>
                    <GripCard symbol="easier" voicing={each.instead} />
                  </>
                )}
              </div>
            </li>
          )
        )
      })}
    </ul>
  )
}
