import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it } from 'vitest'
import type { SongPlace } from '../../api/types'
import { callsTo, serve, showOnBench, tune } from '../../testing/page'
import { PlaceChooser } from './PlaceChooser'
import { PlayedHere } from './PlayedHere'

const song = {
  ...tune,
  sections: [...tune.sections, { id: 's2', name: 'B', line: '| Gm |' }],
  patterns: [
    { ...tune.patterns[0], name: 'Verse' },
    { ...tune.patterns[0], id: 'p2', name: 'Bridge' },
  ],
} as typeof tune
const told = [
  ['s1', 'p1'],
  ['s2', 'p2'],
].map(([section, pattern]) => ({ pass: '1', section, pattern, line: 'l1', level: 3, meter: '4/4' })) as SongPlace[]

it('is out of the way while every place is alike', () => {
  const { container } = showOnBench(<PlaceChooser />)
  expect(container.querySelector('.place-chooser')).toBeNull()
})

it('names what is played at the place that is worked at, and leads to another', async () => {
  const { setPlace } = showOnBench(<PlaceChooser />, { document: song, places: told })
  expect(screen.getByText('4/4 · Verse')).toBeTruthy()
  fireEvent.mouseDown(screen.getByLabelText('Section'))
  fireEvent.click(await screen.findByTitle('Section B'))
  expect(setPlace).toHaveBeenCalledWith({ pass: '1', section: 's2' })
})

it('asks the core for strokes of a section’s own, and for strokes that others share', async () => {
  serve({ 'POST compute/played-here': { document: song } })
  showOnBench(<PlayedHere what="pattern" />, { document: song, places: told })
  for (const [option, id] of [
    ['Bridge', 'p2'],
    ['of its own', null],
  ] as const) {
    fireEvent.mouseDown(screen.getByLabelText('Strokes of this section'))
    fireEvent.click(await screen.findByTitle(option))
    await waitFor(() => expect(callsTo('POST compute/played-here').at(-1)).toMatchObject({ section: 's1', what: 'pattern', named: id }))
  }
})

it('names the strokes that are played here and no others', () => {
  const { store } = showOnBench(<PlayedHere what="pattern" />, { document: song, places: told })
  fireEvent.change(screen.getByLabelText('Name of these strokes'), { target: { value: 'Ferry' } })
  expect(store.getState().document.patterns.map(({ name }) => name)).toEqual(['Ferry', 'Bridge'])
})
