import { Button, Input } from 'antd'
import { useState } from 'react'
import { useInviteMany } from '../../api/school'

/** A list of names becomes a table of links, to be passed on one by one. */
export function ManyLinks({ group }: { group: string | null }) {
  const [names, setNames] = useState('')
  const invite = useInviteMany()
  const { made = [], problems = [] } = invite.data ?? {}
  const save = () => {
    const table = ['name,link', ...made.map(({ name, path }) => `"${name.replaceAll('"', '""')}",${window.location.origin}${path}`)].join(
      '\r\n',
    )
    const link = document.createElement('a')
    link.href = URL.createObjectURL(new Blob([table], { type: 'text/csv' }))
    link.download = 'links.csv'
    link.click()
    URL.revokeObjectURL(link.href)
  }
  return (
    <details>
      <summary>Many at once</summary>
      <div className="sign-in-form">
        <label>
          Names, one a line, or a table with names in its first column
          <Input.TextArea aria-label="Names" rows={4} value={names} onChange={(event) => setNames(event.target.value)} />
        </label>
        <div className="button-row">
          <Button disabled={names.trim() === ''} loading={invite.isPending} onClick={() => invite.mutate({ names, group })}>
            Make their links
          </Button>
          {made.length > 0 && (
            <Button type="primary" onClick={save}>
              Save {made.length === 1 ? 'one link' : `${made.length} links`} as a table
            </Button>
          )}
        </div>
        {invite.error !== null && (
          <p role="alert" className="finding finding-off">
            {invite.error.message}
          </p>
        )}
        {problems.length > 0 && (
          <ul className="finding finding-off" role="status">
            {problems.slice(0, 20).map(({ line, says }) => (
              <li key={line}>
                line {line}: {says}
              </li>
            ))}
            {problems.length > 20 && <li>and {problems.length - 20} more lines</li>}
          </ul>
        )}
      </div>
    </details>
  )
}
