import { Button, Segmented, Select } from 'antd'
import { useState } from 'react'
import { moveToKey, useChart } from '../../api/queries'
import { addPass, addSection } from '../../api/song'
import type { ChartSection } from '../../api/types'
import { isKeyTyped, KEYS } from '../../ui/choices'
import { useKeys } from '../../ui/keys'
import { Later } from '../../ui/Later'
import { useTabState } from '../../ui/useTabState'
import { countOf } from '../../ui/words'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { OPEN_STRINGS_STAY, useRemake } from '../bench/useRemake'
import { PassChart } from './passes/PassChart'
import { FormSheet } from './FormSheet'
import { SectionLines } from './SectionLines'
import { SectionRows, type Names } from './SectionRows'
import { StandView } from './stand/StandView'

/** The typed line becomes bars; playing moves over them. */
export default function ChartStation() {
  const { store, timeline } = useBench()
  const document = useDocument()
  const mine = useMine()
  const chart = useChart(document)
  const remake = useRemake()
  const [names, setNames] = useState<Names>('letters')
  const sections = chart.data?.sections ?? []
  const bars = sections.reduce((sum, section) => sum + writtenBars(section), 0)
  const addOneSection = () => void remake((d) => addSection(d))
  const [asked, setView] = useTabState<'bars' | 'passes' | null>(`chart:${store.getState().id}`, null)
  const view = asked ?? (document.passes.length > 1 ? 'passes' : 'bars')
  const byPass = view === 'passes' && timeline !== undefined && sections.length > 0
  const [typing, setTyping] = useState(false)
  const [stand, setStand] = useState(false)
  const [forming, setForming] = useState(false)
  useKeys({ s: () => setStand(true), l: () => mine && setForming(true) }, !stand)
  const addOne = () => {
    setView('passes')
    void remake((d) => addPass(d, null))
  }
  return (
    <div className="chart-station">
      <div className="station-head">
        <h2>Chart</h2>
        <p className="muted">
          {countOf(bars, 'bar')}
          {timeline !== undefined && timeline.bars.length !== bars ? `, ${timeline.bars.length} as they are played` : ', once round'}
          {document.sections.length === 1 ? '' : ` through ${document.sections.length} sections`}
        </p>
        <Later turn={1}>
          <div className="title-actions">
            <Segmented
              aria-label="Show"
              options={[
                { value: 'bars', label: 'Bars' },
                { value: 'passes', label: 'Passes', title: 'every time round, bar by bar' },
              ]}
              value={view}
              onChange={setView}
            />
            <Segmented
              aria-label="Names"
              options={[
                { value: 'letters', label: 'Letters' },
                { value: 'numerals', label: 'Numerals' },
                { value: 'steps', label: 'Steps', title: 'II7 where the numerals say V7/V' },
              ]}
              value={names}
              onChange={setNames}
            />
            {mine && (
              <label className="inline">
                Key{' '}
                <Select
                  aria-label="Key"
                  showSearch={{ filterOption: (typed, option) => isKeyTyped(typed, option?.value) }}
                  value={document.start.key}
                  options={KEYS.map((value) => ({ value }))}
                  style={{ width: 116 }}
                  onChange={(key: string) => void remake((d) => moveToKey(d, key), OPEN_STRINGS_STAY)}
                />
              </label>
            )}
            {byPass && (
              <Button aria-pressed={typing} onClick={() => setTyping(!typing)}>
                {typing ? 'Hide the lines' : 'Type the lines'}
              </Button>
            )}
            {mine && (
              <Button aria-pressed={forming} onClick={() => setForming(!forming)}>
                Form … <kbd>L</kbd>
              </Button>
            )}
            <Button onClick={() => setStand(true)}>
              Stand view <kbd>S</kbd>
            </Button>
            {mine && (
              <Button type="primary" onClick={addOne}>
                Add a pass
              </Button>
            )}
          </div>
        </Later>
      </div>
      {byPass ? (
        <PassChart sections={sections} timeline={timeline} names={names} covered={stand || forming} />
      ) : (
        <div className="chart-paper" role="region" aria-label="Bars" tabIndex={0}>
          {bars === 0 && (
            <div className="empty">
              <h2>No bars yet</h2>
              <p>
                Type the chords below, with a stroke between bars, such as | Dm6 | B♭7 | Gm7 A7 | Dm6 |. Numerals work too: | i6 | VI7 | iv7
                V7 | i6 |.
              </p>
            </div>
          )}
          {sections.map((section) => (
            <SectionRows key={section.id} section={section} names={names} timeline={timeline} barsInAll={bars} />
          ))}
        </div>
      )}
      {forming && <FormSheet onClose={() => setForming(false)} />}
      {!forming && (!byPass || typing || bars === 0) && (
        <div className="chart-lines">
          <Later turn={3}>
            {document.sections.map((section, index) => (
              <SectionLines
                key={section.id}
                section={section}
                index={index}
                written={chart.isPlaceholderData ? silent(sections[index]) : sections[index]}
              />
            ))}
            {mine && (
              <p className="muted chart-help">
                <Button onClick={addOneSection}>Add a section</Button> % repeats a bar · / is one more beat · N.C. is silence · B♭7 or Bb7,
                IV7 or E♭7
              </p>
            )}
          </Later>
        </div>
      )}
      {stand && <StandView sections={sections} onClose={() => setStand(false)} />}
    </div>
  )
}

/** While a line is read anew, what was wrong with it before is not told of it. */
const silent = (section: ChartSection | undefined): ChartSection | undefined =>
  section === undefined ? undefined : { ...section, problems: [], endings: section.endings.map((ending) => ({ ...ending, problems: [] })) }

const writtenBars = ({ bars, endings }: ChartSection): number => bars.length + endings.reduce((sum, ending) => sum + ending.bars.length, 0)
