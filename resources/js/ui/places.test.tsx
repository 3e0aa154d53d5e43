import { act, renderHook } from '@testing-library/react'
import { MemoryRouter, useLocation, useNavigate } from 'react-router'
import type { ReactNode } from 'react'
import { expect, it } from 'vitest'
import '../testing/page'
import { usePageTitle } from './usePageTitle'
import { useSheet } from './useSheet'
import { useTabState } from './useTabState'

const at = (path: string) => ({
  wrapper: ({ children }: { children: ReactNode }) => <MemoryRouter initialEntries={['/before', path]}>{children}</MemoryRouter>,
})
const station = (path = '/hand') =>
  renderHook(
    () => ({ sheet: useSheet<'wave' | 'patterns' | 'tap'>('wave', ['patterns', 'tap']), here: useLocation(), go: useNavigate() }),
    at(path),
  )

it('keeps the sheet in the address, and Back takes it away before it leaves the station', () => {
  const { result } = station()
  act(() => result.current.sheet[1]('patterns'))
  expect([result.current.sheet[0], result.current.here.search]).toEqual(['patterns', '?sheet=patterns'])
  act(() => result.current.sheet[1]('tap'))
  act(() => void result.current.go(-1))
  expect([result.current.sheet[0], result.current.here.pathname]).toEqual(['wave', '/hand'])
  act(() => void result.current.go(-1))
  expect(result.current.here.pathname).toBe('/before')
})

it('leaves no sheet in the history when it is closed, and opens where the address says so', () => {
  const { result } = station()
  act(() => result.current.sheet[1]('patterns'))
  act(() => result.current.sheet[1]('wave'))
  act(() => void result.current.go(-1))
  expect(result.current.here.pathname).toBe('/before')
  const reloaded = station('/hand?sheet=tap').result
  expect(reloaded.current.sheet[0]).toBe('tap')
  act(() => reloaded.current.sheet[1]('wave'))
  expect([reloaded.current.sheet[0], reloaded.current.here.search]).toEqual(['wave', ''])
  expect(station('/hand?sheet=nonsense').result.current.sheet[0]).toBe('wave')
})

it('keeps a place over a reload of the tab, whatever stands in its store', () => {
  const first = renderHook(() => useTabState('slot:b1', 0))
  act(() => first.result.current[1](5))
  expect(renderHook(() => useTabState('slot:b1', 0)).result.current[0]).toBe(5)
  expect(renderHook(() => useTabState('slot:b2', 3)).result.current[0]).toBe(3)
  sessionStorage.setItem('slot:b1', '{broken')
  expect(renderHook(() => useTabState('slot:b1', 1)).result.current[0]).toBe(1)
})

it('names the tab', () => {
  renderHook(() => usePageTitle('Marzipan Ferry · Hand'))
  expect(document.title).toBe('Marzipan Ferry · Hand · Gravik')
})
