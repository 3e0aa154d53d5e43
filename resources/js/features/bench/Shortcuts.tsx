import { Segmented } from 'antd'
import { useState } from 'react'
import { Dialog } from '../../ui/Dialog'
import { NeckChoice } from './NeckChoice'
import { WORDS } from './glossary'

const GROUPS: [string, [string, string][]][] = [
  [
    'Everywhere',
    [
      ['Space', 'play, stop'],
      ['Alt 1 – 9', 'go to a station'],
      ["'", 'with the band, alone'],
      ['Alt 0', 'back to the shelf'],
      ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
      ['Ctrl S', 'save now'],
      ['[ ]', 'tempo down, up'],
      ['T', 'tap the tempo'],
      ['/', 'straight, and swung again'],
      ['Q', 'name a grip, find a chord'],
      ['Y', 'key, tempo, band …'],
      ['?', 'keys, words, your neck'],
    ],
  ],
  [
    'Chart',
    [
      ['L', 'form, turnarounds, intros'],
      ['S', 'stand view'],
      ['↑ ↓', 'pass before, after'],
      ['← →', 'bar before, after; Shift: more bars'],
      ['A', 'all bars of the section'],
      ['J', 'jump to a bar'],
      ['P W F R O', 'pattern, written, free, ring, out'],
      ['1 2 3', 'level'],
      ['+ −', 'louder, softer'],
      ['I', 'a figure from here on'],
      ['E', 'its answer over the chosen bars'],
      ['M, then 1 – 6', 'a move over these bars'],
      ['C', 'copy the pass'],
      ['Esc', 'done'],
    ],
  ],
  [
    'Figure',
    [
      ['← →', 'note before, after; Shift: more of them'],
      ['T', 'tap its rhythm'],
      ['X', 'hand over to the other line'],
      ['H', 'hear it'],
      ['Esc', 'choose none, then leave'],
    ],
  ],
  [
    'Band',
    [
      ['← →', 'two bars before, after'],
      ['↑ ↓', 'clash before, after'],
      ['H', 'hear it now'],
      ['J', 'hear it mended'],
      ['Enter', 'take the repair'],
      ['Esc', 'stop'],
    ],
  ],
  [
    'Steps',
    [
      ['← →', 'stage before, after'],
      ['Shift ← →', 'carry it earlier, later'],
      ['H', 'hear the stage'],
      ['P', 'practise it'],
      ['D', 'drop it'],
      ['N', 'add a stage'],
      ['G', 'give it to students'],
      ['Esc', 'none on the stand'],
    ],
  ],
  [
    'Log',
    [
      ['V', 'drawn, in figures'],
      ['P', 'practise what sticks'],
      ['L', 'print the page'],
    ],
  ],
  [
    'Handout',
    [
      ['L', 'print the sheet'],
      ['P', 'take it as PDF'],
    ],
  ],
  [
    'Lock',
    [
      ['R', 'record a take by key'],
      ['M', 'record by microphone'],
      ['U', 'upload a recording'],
      ['P', 'ladder'],
      ['H', 'hear the take with the band'],
      ['E', 'hear an error: 1 – 7'],
      ['F', 'free play; down stroke in a take'],
      ['K', 'keep the rhythm of a take as a pattern'],
      ['J', 'up stroke'],
      ['Esc', 'stop the take'],
    ],
  ],
  [
    'Shapes',
    [
      ['↑ ↓', 'chord before, after'],
      ['← →', 'walk through its grips'],
      ['Enter', 'pin the grip'],
      ['Delete', 'let the pin go'],
      ['G', 'type a grip for this chord'],
      ['H', 'hear it'],
      ['E', 'the line elsewhere on the neck'],
      ['B', 'alone, with a bass, shells'],
      ['K', 'link: the same chord follows'],
      ['X', 'compare with this one'],
      ['N', 'name the grip'],
      ['M', 'double stops and fills'],
      ['C', 'capo and tuning'],
      ['A', 'approaches, then 1 – 8 to place'],
      ['F', 'families: I, IV and V'],
      ['W', 'time for every change'],
      ['L', 'melody and figures'],
      ['P', 'proofread'],
      ['I', 'figures that are played here'],
      ['S', 'whose hands'],
    ],
  ],
  [
    'Hand',
    [
      ['← →', 'slot before, after'],
      ['X', 'strike'],
      ['C', 'chuck'],
      ['G', 'ghost'],
      ['M', 'palm-mute'],
      ['S', 'short or ringing'],
      ['A', 'accent'],
      ['D U', 'fix down, up'],
      ['P', 'push: the next grip'],
      ['O', 'open strings'],
      ['. or Delete', 'air'],
      ['B', 'copy the bar'],
      ['W', 'divide this beat otherwise'],
      ['V', 'the other line: bass and chord'],
      ['H', 'hand the beat to the other line'],
      ['1 2 3', 'level'],
      ['L', 'patterns to start from'],
      ['I', 'tap it in: D F J K; V sings it in'],
      ['K', 'schools side by side'],
      ['=', 'compare'],
    ],
  ],
  [
    'Listen',
    [
      ['O', 'open a recording'],
      ['M', 'listen by microphone'],
      ['A', 'tap along: B beats, F J hits'],
      ['P', 'hear it'],
      ['← →', 'stroke before, after'],
      [', .', 'stroke 5 ms earlier, later'],
      ['X', 'strike it out, put it back'],
      ['N', 'a new stroke half way on'],
      ['D U', 'down, up'],
      ['C', 'dead or ringing'],
      ['1', 'bar 1 begins here'],
      ['H G', 'half, double the tempo'],
      ['Z', 'take the last correction back'],
      ['Enter', 'take over what is ticked'],
    ],
  ],
  [
    'Shelf',
    [
      ['← → ↑ ↓', 'choose'],
      ['Enter', 'open'],
      ['N', 'new breakdown'],
      ['G', 'give it to students'],
      ['/', 'search'],
    ],
  ],
  [
    'Students, Today',
    [
      ['I', 'invite'],
      ['B', 'bands: who does what'],
      ['G', 'give work'],
      ['Enter', 'begin what comes next today'],
    ],
  ],
]

type Page = 'keys' | 'words' | 'neck'
const PAGES: { value: Page; label: string }[] = [
  { value: 'keys', label: 'Keys' },
  { value: 'words', label: 'Words' },
  { value: 'neck', label: 'Your neck' },
]

/** What is asked for with "?": every key, the words of the screen, and how the neck is drawn. */
export function Shortcuts({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [page, setPage] = useState<Page>('keys')
  return (
    <Dialog open={open} onCancel={onClose} footer={null} title="Help" width={1080}>
      <Segmented aria-label="Help with" options={PAGES} value={page} onChange={setPage} />
      {page === 'keys' && <Keys />}
      {page === 'words' && (
        <dl className="glossary" tabIndex={0} aria-label="Words">
          {WORDS.map(([word, meaning]) => (
            <div key={word}>
              <dt>{word}</dt>
              <dd>{meaning}</dd>
            </div>
          ))}
        </dl>
      )}
      {page === 'neck' && <NeckChoice />}
    </Dialog>
  )
}

const Keys = () => (
  <div className="shortcut-groups">
    {GROUPS.map(([group, rows]) => (
      <section key={group}>
        <h3>{group}</h3>
        <dl>
          {rows.map(([key, act]) => (
            <div key={key}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd>{act}</dd>
            </div>
          ))}
        </dl>
      </section>
    ))}
  </div>
)
