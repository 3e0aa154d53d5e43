import { useQueryClient } from '@tanstack/react-query'
import { App, Button, Input } from 'antd'
import { useState } from 'react'
import { keys } from '../../api/queries'
import { forgetProfile, keepProfile, useProfiles } from '../../api/song'
import { useBench } from '../bench/benchContext'

/** Keeps strokes, grips, feel and band of this place under a word, to begin other breakdowns from. */
export function KeepWord() {
  const { desk } = useBench()
  const own = useProfiles().data ?? []
  const client = useQueryClient()
  const { message } = App.useApp()
  const [name, setName] = useState(desk.document.genre)
  const change = async (done: Promise<unknown>, words: string) => {
    try {
      await done
      await client.invalidateQueries({ queryKey: keys.profiles })
      void message.success(words)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work. Try again.')
    }
  }
  const keep = () => name.trim() !== '' && void change(keepProfile(desk, name), `A new breakdown can begin from “${name.trim()}” now.`)
  return (
    <div className="keep-word">
      <label>
        <span className="label">Begin others from this: strokes, grips, feel and band under a word</span>
        <Input
          size="small"
          aria-label="A word for it"
          maxLength={40}
          value={name}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={keep}
        />
      </label>
      <Button size="small" disabled={name.trim() === ''} onClick={keep}>
        Keep it
      </Button>
      {own.map((profile) => (
        <span key={profile.id} className="own-word">
          {profile.name}{' '}
          <Button
            size="small"
            aria-label={`Forget ${profile.name}`}
            onClick={() => void change(forgetProfile(profile.id), `“${profile.name}” is forgotten; what began from it stays.`)}
          >
            forget
          </Button>
        </span>
      ))}
    </div>
  )
}
