import { Button, Select } from 'antd'
import { useState } from 'react'
import { useChoices, useShelf } from '../../api/queries'
import { useChangeGroup, useClass, useGroups, useJobs, useMakeGroup, type Group } from '../../api/school'
import { Dialog } from '../../ui/Dialog'
import { passName } from '../../ui/words'
import { BandBalance } from './BandBalance'
import { NameField } from './NameField'

/** A band: who plays what, who does what in each pass of a tune, and what its listeners heard. */
export function BandDialog({ onClose }: { onClose: () => void }) {
  const groups = useGroups().data ?? []
  const make = useMakeGroup()
  const [chosen, setChosen] = useState<string | null>(null)
  const group = groups.find(({ id }) => id === chosen) ?? groups[0]
  return (
    <Dialog title="Bands" open onCancel={onClose} footer={null} width={960}>
      <div className="band-head">
        {groups.length > 0 && (
          <Select
            aria-label="Band"
            value={group?.id}
            onChange={setChosen}
            options={groups.map(({ id, name }) => ({ value: id, label: name }))}
            style={{ minWidth: 200 }}
          />
        )}
        <NameField label="Name of a new band" placeholder="a new band" onName={(name) => make.mutate(name)} />
      </div>
      {group === undefined ? <p className="muted">Give a band a name; then say who is in it.</p> : <Band key={group.id} group={group} />}
    </Dialog>
  )
}

function Band({ group }: { group: Group }) {
  const instruments = useChoices().data?.instruments ?? []
  const students = useClass().data ?? []
  const change = useChangeGroup()
  const [search, setSearch] = useState('')
  const shelf = useShelf(search)
  const [tune, setTune] = useState<string>()
  const jobs = useJobs(group.id, tune).data
  const nameOf = (id: number) => students.find((student) => student.id === id)?.name ?? '…'
  const playsOf = (id: number) => group.plays.find(({ student }) => student === id)?.instrument ?? null
  const passes = jobs?.map(({ pass, name }) => ({ id: pass, name })) ?? []
  return (
    <>
      <label className="band-members">
        Who is in it
        <Select
          mode="multiple"
          aria-label="Who is in it"
          value={group.members}
          onChange={(members) => change.mutate({ id: group.id, name: group.name, members })}
          options={students.map(({ id, name }) => ({ value: id, label: name }))}
          optionFilterProp="label"
        />
      </label>
      <label className="band-members">
        The tune
        <Select
          showSearch
          aria-label="The tune"
          value={tune}
          placeholder="choose one of your breakdowns"
          filterOption={false}
          onSearch={setSearch}
          onChange={setTune}
          options={(shelf.items ?? []).map(({ id, title }) => ({ value: id, label: title }))}
        />
      </label>
      <div className="band-table">
        <table className="figures-table">
          <thead>
            <tr>
              <th>Who</th>
              <th>Plays</th>
              {jobs?.map(({ pass, lead }) => (
                <th key={pass}>
                  {passName(passes, pass)}
                  {lead !== '' && <small className="muted">{` ${lead}`}</small>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {group.members.map((id) => (
              <tr key={id}>
                <th scope="row">{nameOf(id)}</th>
                <td>
                  <Select
                    size="small"
                    aria-label={`What ${nameOf(id)} plays`}
                    value={playsOf(id)}
                    style={{ minWidth: 130 }}
                    options={[
                      ...instruments.map(({ slug, words }) => ({ value: slug, label: words })),
                      { value: null, label: 'no part yet' },
                    ]}
                    onChange={(instrument) => change.mutate({ id: group.id, name: group.name, plays: [{ student: id, instrument }] })}
                  />
                </td>
                {jobs?.map((each) => {
                  const job = each.jobs.find(({ member }) => member === id)
                  return (
                    <td key={each.pass} className={job?.plays === true ? undefined : 'spared'}>
                      {job?.words}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {change.error !== null && (
        <p role="alert" className="finding finding-off">
          {change.error.message}
        </p>
      )}
      {tune !== undefined && group.members.length > 0 && (
        <>
          <BandBalance group={group.id} breakdown={tune} members={group.members.map((id) => ({ id, name: nameOf(id) }))} />
          <p className="button-row">
            <Button onClick={() => window.print()}>Print it for the rehearsal</Button>
          </p>
        </>
      )}
    </>
  )
}
