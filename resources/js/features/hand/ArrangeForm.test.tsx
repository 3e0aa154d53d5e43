import { fireEvent, render, screen } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import '../../testing/page'
import { ArrangeForm } from './ArrangeForm'

const schools = [
  { slug: 'pendulum' as const, name: 'pendulum' },
  { slug: 'all-down' as const, name: 'all down' },
]

function shown(division = 2) {
  const told = { onReshape: vi.fn(), onSchool: vi.fn(), onLay: vi.fn() }
  render(<ArrangeForm division={division} bars={1} school="pendulum" schools={schools} {...told} />)
  return told
}

function choose(field: string, option: string) {
  fireEvent.mouseDown(screen.getByLabelText(field))
  fireEvent.click(screen.getByText(option, { selector: '.ant-select-item-option-content' }))
}

it('divides every beat anew', () => {
  const { onReshape } = shown()
  choose('Beat divided in', 'quarters')
  expect(onReshape.mock.calls).toEqual([[{ grid: 4 }]])
})

it('says where beats are divided differently, which is nothing to choose', () => {
  const { onReshape } = shown(0)
  expect(screen.getByText('different parts')).toBeTruthy()
  choose('Beat divided in', 'different parts')
  expect(onReshape).not.toHaveBeenCalled()
})

it('lays the pattern over more bars, in another school, with other weights and lengths', () => {
  const { onReshape, onSchool, onLay } = shown()
  fireEvent.click(screen.getByText('4'))
  choose('Picking school', 'all down')
  choose('Accents', 'on 2 and 4')
  choose('Lengths', 'let go on every beat')
  expect(onReshape.mock.calls).toEqual([[{ bars: 4 }]])
  expect(onSchool.mock.calls[0]?.[0]).toBe('all-down')
  expect(onLay.mock.calls).toEqual([[{ accents: 'back-beat' }], [{ lengths: 'release-all' }]])
})
