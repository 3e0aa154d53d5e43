import { useQueryClient } from '@tanstack/react-query'
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { call } from '../../api/client'
import { keys, usePerson } from '../../api/queries'
import type { Take } from '../../api/types'
import type { useJudge } from './useJudge'

/** Nobody's playing is kept without their word. */
export function KeepSound({ judge: { keepsSound, setKeepsSound } }: { judge: ReturnType<typeof useJudge> }) {
  return (
    <Checkbox checked={keepsSound} onChange={(event) => setKeepsSound(event.target.checked)}>
      keep the sound of the next take for my teacher
    </Checkbox>
  )
}

/** Says that a take's sound is kept, and lets its player have it deleted. */
export function KeptSound({ breakdown, take }: { breakdown: string; take: Take }) {
  const person = usePerson().data
  const client = useQueryClient()
  const [problem, setProblem] = useState<string | null>(null)
  if (take.sound_at === null) return null
  const forget = async () => {
    try {
      await call('DELETE', '/api/breakdowns/{id}/takes/{take}/sound', { path: { id: breakdown, take: take.id } })
      client.setQueryData(['take', breakdown, take.id], { ...take, sound_at: null })
      await client.invalidateQueries({ queryKey: keys.takes(breakdown) })
    } catch (failure) {
      setProblem(failure instanceof Error ? failure.message : 'Its sound could not be deleted. Try again.')
    }
  }
  return (
    <p className="muted">
      The sound of this take is kept.{' '}
      {person?.name === take.player && (
        <Button size="small" onClick={() => void forget()}>
          Delete its sound
        </Button>
      )}
      {problem !== null && <span className="off"> {problem}</span>}
    </p>
  )
}
