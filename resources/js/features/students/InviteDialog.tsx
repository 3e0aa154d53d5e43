import { Button, Input, QRCode, Segmented, Select } from 'antd'
import { useState } from 'react'
import { useChangeGroup, useGroups, useInvitations, useInvite, useMakeGroup, useWithdraw, type Group } from '../../api/school'
import { useChoices } from '../../api/queries'
import type { Person } from '../../api/types'
import { Dialog } from '../../ui/Dialog'
import { NameField } from './NameField'
import { ManyLinks } from './ManyLinks'

type Kind = 'student' | 'teacher'
type Props = { person: Person; reset?: { id: number; name: string }; onClose: () => void }

/** A link that works once, or a code for a whole class: shown as text and as a picture to photograph. */
export function InviteDialog({ person, reset, onClose }: Props) {
  const [kind, setKind] = useState<Kind>('student')
  const [name, setName] = useState('')
  const [group, setGroup] = useState<string | null>(null)
  const groups = useGroups().data ?? []
  const open = useInvitations().data ?? []
  const invite = useInvite()
  const withdraw = useWithdraw()
  const [email, setEmail] = useState('')
  const canMail = useChoices().data?.mail === true
  const make = () =>
    invite.mutate({
      ...(reset === undefined ? { kind, name, ...(kind === 'student' ? { group } : {}) } : { kind: 'password', person: reset.id }),
      ...(email.trim() === '' ? {} : { email: email.trim() }),
    })
  const link = invite.data === undefined ? null : `${window.location.origin}${invite.data.path}`
  return (
    <Dialog title={reset === undefined ? 'Invite' : `A new password for ${reset.name}`} open onCancel={onClose} footer={null} width={560}>
      {link === null ? (
        <div className="sign-in-form">
          {reset === undefined && (
            <>
              {person.owner && (
                <Segmented
                  aria-label="Whom"
                  value={kind}
                  options={[
                    { value: 'student', label: 'a student' },
                    { value: 'teacher', label: 'a teacher' },
                  ]}
                  onChange={(value) => setKind(value as Kind)}
                />
              )}
              <label>
                Who it is for, as you know them
                <Input value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
              </label>
              {kind === 'student' && (
                <label>
                  Into a class
                  <Select
                    aria-label="Into a class"
                    value={group}
                    onChange={setGroup}
                    options={[{ value: null, label: 'none' }, ...groups.map((each) => ({ value: each.id, label: each.name }))]}
                  />
                </label>
              )}
            </>
          )}
          {canMail && (
            <label>
              Send it by e-mail, if you like
              <Input type="email" value={email} maxLength={160} onChange={(event) => setEmail(event.target.value)} />
            </label>
          )}
          {reset !== undefined && <p>Whoever follows the link chooses a new password. Pass it on to {reset.name} alone.</p>}
          <Button type="primary" loading={invite.isPending} onClick={make}>
            Make a link
          </Button>
          {reset === undefined && kind === 'student' && <ManyLinks group={group} />}
          {invite.error !== null && (
            <p role="alert" className="finding finding-off">
              {invite.error.message}
            </p>
          )}
        </div>
      ) : (
        <div className="invitation">
          <QRCode value={link} size={184} color="#1f2a33" bgColor="#fcfaf4" bordered={false} />
          <div>
            <p>It works once, and for seven days. Pass it on; it is not shown again.</p>
            {invite.data?.mailed === true && <p className="held">It is on its way by e-mail too.</p>}
            {invite.data?.mailed === false && <p className="off">It could not be sent by e-mail; pass it on yourself.</p>}
            <Input.TextArea aria-label="The link" readOnly autoSize value={link} onFocus={(event) => event.target.select()} />
            <div className="button-row">
              <Button onClick={() => void navigator.clipboard?.writeText(link)}>Copy</Button>
              <Button onClick={() => invite.reset()}>One more</Button>
            </div>
          </div>
        </div>
      )}
      {reset === undefined && (
        <>
          <h2>Classes and bands</h2>
          <Groups groups={groups} />
          {open.length > 0 && <h2>Links nobody has used yet</h2>}
          <ul className="plain-list">
            {open.map(({ id, name: who, kind: what, group: into, expires_at }) => (
              <li key={id}>
                {who === '' ? `a ${what}` : who}
                {into === null ? '' : `, ${into}`} · until {expires_at.slice(0, 10)}
                <Button size="small" onClick={() => withdraw.mutate(id)}>
                  Withdraw
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Dialog>
  )
}

/** A class is open while it has a code; whoever has it comes in. */
function Groups({ groups }: { groups: Group[] }) {
  const make = useMakeGroup()
  const change = useChangeGroup()
  return (
    <ul className="plain-list">
      {groups.map((group) => (
        <li key={group.id}>
          <b>{group.name}</b> {group.members.length === 1 ? '1 student' : `${group.members.length} students`}
          {group.code !== null && <code className="class-code">{`${group.code.slice(0, 4)} ${group.code.slice(4)}`}</code>}
          <Button size="small" onClick={() => change.mutate({ id: group.id, name: group.name, open: group.code === null })}>
            {group.code === null ? 'Open it by a code' : 'Close the code'}
          </Button>
        </li>
      ))}
      <li>
        <NameField label="Name of a new class" placeholder="a new class" onName={(name) => make.mutate(name)} />
      </li>
    </ul>
  )
}
