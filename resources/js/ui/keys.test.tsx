import { render } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import '../testing/page'
import { useKeys } from './keys'

const pressed = vi.fn()

function Station() {
  useKeys(Object.fromEntries(['a', 'Space', 'Enter', 'ArrowRight', 'mod+z', 'alt+3'].map((key) => [key, () => pressed(key)])))
  return (
    <div>
      <button>button</button>
      <a href="#here">link</a>
      <input type="text" aria-label="text" />
      <input type="checkbox" aria-label="tick" />
      <div role="slider" tabIndex={0} aria-label="slider" aria-valuenow={1} />
      <div className="ant-select">
        <input role="combobox" aria-label="list" aria-expanded={false} aria-controls="none" />
      </div>
      <svg>
        <g role="button" tabIndex={0} aria-label="drawn" />
      </svg>
      <p className="ant-popover">
        <i tabIndex={0} aria-label="in a sheet" />
      </p>
    </div>
  )
}

const KEYS = {
  a: { key: 'a' },
  Space: { key: ' ' },
  Enter: { key: 'Enter' },
  ArrowRight: { key: 'ArrowRight' },
  'mod+z': { key: 'z', ctrlKey: true },
  'alt+3': { key: '3', altKey: true },
}

it.each([
  ['nothing', 'body', ['a', 'Space', 'Enter', 'ArrowRight', 'mod+z', 'alt+3']],
  ['a button', 'button', ['a', 'ArrowRight', 'mod+z', 'alt+3']],
  ['a link', 'a', ['a', 'ArrowRight', 'mod+z', 'alt+3']],
  ['a text field', '[aria-label=text]', []],
  ['a checkbox', '[aria-label=tick]', ['a', 'ArrowRight', 'mod+z', 'alt+3']],
  ['a slider', '[aria-label=slider]', ['a', 'mod+z', 'alt+3']],
  ['a list to choose from', '[aria-label=list]', []],
  ['a button that is drawn', 'g', ['a', 'ArrowRight', 'mod+z', 'alt+3']],
  ['a sheet over the page', '[aria-label="in a sheet"]', []],
])('belongs to what has the focus first: %s', (_, focused, reach) => {
  pressed.mockClear()
  const { container } = render(<Station />)
  const target = focused === 'body' ? document.body : (container.querySelector(focused) as HTMLElement)
  if (focused !== 'body') target.focus()
  for (const key of Object.values(KEYS)) target.dispatchEvent(new KeyboardEvent('keydown', { ...key, bubbles: true, cancelable: true }))
  expect(pressed.mock.calls.map(([key]) => key as string)).toEqual(reach)
})
