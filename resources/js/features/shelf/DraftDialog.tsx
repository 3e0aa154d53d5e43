import { Button } from 'antd'
import { useHandout, type Draft } from '../../api/handout'
import { Dialog } from '../../ui/Dialog'

type Props = { draft: Draft & { name: string; source: string | null }; onKeep: () => void; onLeave: () => void }

/** What was made of somebody else's file, beside the file itself: nothing is kept before this is answered. */
export function DraftDialog({ draft, onKeep, onLeave }: Props) {
  const { document, read, unread, name, source, picture } = draft
  const page = useHandout(document, { parts: 'chart,grips,hand,figures' }).data?.pages[0]
  return (
    <Dialog title={`A draft of “${name}”`} open onCancel={onLeave} width={980} footer={null}>
      <div className="draft">
        <section className="draft-lists">
          <h3>Read</h3>
          <ul>
            {read.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          <h3>Not read</h3>
          {unread.length === 0 ? (
            <p className="held">Nothing was left out.</p>
          ) : (
            <ul className="draft-unread">
              {unread.map((each, place) => (
                <li key={place}>{each}</li>
              ))}
            </ul>
          )}
          <div className="button-row">
            <Button type="primary" onClick={onKeep}>
              Put it on the shelf
            </Button>
            <Button onClick={onLeave}>Leave it</Button>
          </div>
        </section>
        <section aria-label="The file">
          <h3>The file</h3>
          {/* The drawing is the core's own: every text in it is escaped there. */}
          {picture !== null && <div className="draft-picture" dangerouslySetInnerHTML={{ __html: picture }} />}
          {source !== null && (
            <details>
              <summary>As text</summary>
              <pre className="draft-source">{source}</pre>
            </details>
          )}
        </section>
        <section aria-label="The draft">
          <h3>The draft</h3>
          {page === undefined ? (
            <p className="loading">Drawing it …</p>
          ) : (
            // The drawing is the core's own: every text in it is escaped there.
            <div className="sheet" dangerouslySetInnerHTML={{ __html: page }} />
          )}
        </section>
      </div>
    </Dialog>
  )
}
