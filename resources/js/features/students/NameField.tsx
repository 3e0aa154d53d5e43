import { Button, Input } from 'antd'
import { useState } from 'react'

/** A name that makes something new. */
export function NameField({ label, placeholder, onName }: { label: string; placeholder: string; onName: (name: string) => void }) {
  const [name, setName] = useState('')
  const make = () => {
    onName(name)
    setName('')
  }
  return (
    <span className="name-field">
      <Input
        aria-label={label}
        placeholder={placeholder}
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onPressEnter={() => name.trim() !== '' && make()}
      />
      <Button disabled={name.trim() === ''} onClick={make}>
        Make it
      </Button>
    </span>
  )
}
