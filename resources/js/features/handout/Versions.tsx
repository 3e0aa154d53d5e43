import { App, Button } from 'antd'
import { fetchVersion, useVersions } from '../../api/queries'
import { MoreButton } from '../../ui/MoreButton'
import { useBench } from '../bench/benchContext'

/** The versions to go back to. */
export function Versions({ id }: { id: string }) {
  const { store } = useBench()
  const versions = useVersions(id)
  const { message } = App.useApp()
  const goBack = async (version: number) => {
    try {
      const { document } = await fetchVersion(id, version)
      store.change(() => document)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'This version could not be fetched. Try again.', 8)
    }
  }
  return (
    <section aria-label="Versions">
      <h2>Versions</h2>
      <p className="muted">One for each sitting. Going back is a change like any other: undo brings you here again.</p>
      {versions.items?.length === 0 && <p className="muted">None yet.</p>}
      <div className="take-list">
        {versions.items?.map((version) => (
          <div key={version.id} className="version">
            <b>{new Date(version.saved_at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}</b>
            <span>{version.refused ? 'kept beside the saved one' : `revision ${version.number}`}</span>
            <Button size="small" onClick={() => void goBack(version.id)}>
              Go back to it
            </Button>
          </div>
        ))}
      </div>
      <MoreButton list={versions} words="Older versions" />
    </section>
  )
}
