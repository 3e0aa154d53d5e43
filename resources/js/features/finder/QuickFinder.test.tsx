import { fireEvent, screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { callsTo, serve, show, voicing } from '../../testing/page'
import { gripText, moved, pressed, readGrip } from '../../ui/gripText'
import QuickFinder from './QuickFinder'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const neck = { key: 'F major', tuning: 'standard', capo: 0, company: 'with-bass' as const }
const ninth = [null, 7, 8, 7, 8, null]

describe('a grip as text', () => {
  it.each([
    ['x 7 8 7 8 x', 6, ninth],
    ['X,7,8,7,8,x', 6, ninth],
    ['0 0 0 2', 4, [0, 0, 0, 2]],
    ['x 7 8', 6, null],
    ['C9', 6, null],
    ['x 3 2 0 1 99', 6, null],
  ])('is read as it is written: "%s"', (text, strings, grip) => {
    expect(readGrip(text, strings)).toEqual(grip)
  })

  it('moves whole, or not at all where a finger would leave the neck or a string is open', () => {
    expect(moved(ninth, -2, 15)).toEqual([null, 5, 6, 5, 6, null])
    expect(moved(ninth, 8, 15)).toBe(ninth)
    expect(moved(ninth, -7, 15)).toBe(ninth)
    const open = [null, 3, 2, 0, 1, 0]
    expect(moved(open, 1, 15)).toBe(open)
  })

  it('sounds the fret that is pressed, and mutes it when it is pressed again', () => {
    expect(gripText(pressed(ninth, 0, 8))).toBe('8 7 8 7 8 x')
    expect(gripText(pressed(ninth, 1, 7))).toBe('x x 8 7 8 x')
  })
})

describe('the quick finder', () => {
  const names = [
    { symbol: 'C9', degrees: ['3', '♭7', '9', '5'], omitted: ['R'], why: 'V9 in F major, root not played' },
    { symbol: 'Em7♭5', degrees: ['R', '♭5', '♭7', '♭3'], omitted: [], why: 'viiø7 in F major, root in the bass, complete' },
  ]
  const server = {
    'GET choices': { grooves: [], tunings: [{ slug: 'standard', name: 'Standard', strings: ['E2', 'A2', 'D3', 'G3', 'B3', 'E4'] }] },
    'POST compute/name': { names, voicing: voicing(ninth, { degrees: [null, '3', '♭7', '9', '5', null], root: { string: 6, fret: 8 } }) },
    'POST compute/voicings': { symbol: 'C9', count: 40, voicings: [voicing([null, 3, 2, 3, 3, null]), voicing(ninth)] },
  }
  const field = () => screen.getByLabelText('Grip or chord')

  it('names a typed grip in the key of the tune, shows degrees and the root that is not played', async () => {
    serve(server)
    const used = vi.fn()
    show(<QuickFinder neck={neck} onClose={() => undefined} onUse={used} />)
    fireEvent.change(field(), { target: { value: 'x 7 8 7 8 x' } })
    await screen.findByText('V9 in F major, root not played')
    expect(callsTo('POST compute/name').at(-1)).toEqual({ frets: ninth, key: 'F major', tuning: 'standard', capo: 0 })
    expect([...document.querySelectorAll('.press-neck .now-dot text')].map((dot) => dot.textContent)).toEqual(['3', '♭7', '9', '5'])
    expect(document.querySelectorAll('.press-neck .imagined-root')).toHaveLength(1)
    fireEvent.click(screen.getByText('Pin as Em7♭5'))
    expect(used).toHaveBeenCalledWith('Em7♭5', ninth)
  })

  it('takes presses on the neck and writes them as text', async () => {
    serve(server)
    show(<QuickFinder neck={neck} onClose={() => undefined} />)
    for (const place of ['1-3', '2-2', '1-3', '3-0']) fireEvent.pointerUp(document.querySelector(`[data-place="${place}"]`) as Element)
    await waitFor(() => expect((field() as HTMLInputElement).value).toBe('x x 2 0 x x'))
    fireEvent.click(screen.getByText('Clear'))
    expect((field() as HTMLInputElement).value).toBe('x x x x x x')
    expect(screen.getByText(/Let at least two strings sound/)).toBeTruthy()
    expect(screen.queryByText(/Pin as/)).toBeNull()
  })

  it('takes the whole grip along the neck', async () => {
    serve(server)
    show(<QuickFinder neck={neck} onClose={() => undefined} />)
    fireEvent.change(field(), { target: { value: 'x 7 8 7 8 x' } })
    fireEvent.click(screen.getByText('A fret up'))
    fireEvent.click(screen.getByText('A fret up'))
    fireEvent.click(screen.getByText('A fret down'))
    await waitFor(() => expect(callsTo('POST compute/name').at(-1)).toMatchObject({ frets: [null, 8, 9, 8, 9, null] }))
  })

  it('shows the grips of a typed chord, and any of them on the neck', async () => {
    serve(server)
    show(<QuickFinder neck={neck} onClose={() => undefined} />)
    fireEvent.change(field(), { target: { value: 'C9' } })
    fireEvent.click(await screen.findByText('x 3 2 3 3 x'))
    expect((field() as HTMLInputElement).value).toBe('x 3 2 3 3 x')
  })

  it('says so where notes make no chord, and what a chord name lacks', async () => {
    serve({
      ...server,
      'POST compute/name': { names: [], voicing: null },
      'POST compute/voicings': [422, { message: 'In "Ebv" the part from character 3 is no chord ending we know.' }],
    })
    show(<QuickFinder neck={neck} onClose={() => undefined} />)
    fireEvent.change(field(), { target: { value: '0 1 2 3 4 5' } })
    await screen.findByText(/No chord has just these notes/)
    fireEvent.change(field(), { target: { value: 'Ebv' } })
    expect((await screen.findByRole('alert')).textContent).toContain('no chord ending we know')
  })
})
