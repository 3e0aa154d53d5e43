import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render, screen, waitFor } from '@testing-library/react'
import { App } from 'antd'
import { MemoryRouter, Route, Routes } from 'react-router'
import { expect, it, vi } from 'vitest'
import { band } from '../../audio/band'
import { key, serve, timeline, tune } from '../../testing/page'
import BenchPage from './Bench'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))
vi.mock('../chart/ChartStation', () => ({ default: () => <p>the chart</p> }))

it('plays what came in while play was already pressed, not what the band held before', async () => {
  let workedOut: (of: typeof timeline) => void = () => undefined
  serve({
    'GET breakdowns/b1': { id: 'b1', revision: 1, sitting: '', updated_at: '2026-05-09T12:00:00Z', mine: true, document: tune },
    'POST compute/timeline': () => new Promise((answer) => (workedOut = answer)),
  })
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  render(
    <App>
      <QueryClientProvider client={client}>
        <MemoryRouter initialEntries={['/breakdown/b1/chart']}>
          <Routes>
            <Route path="/breakdown/:id/:station?" element={<BenchPage />} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>
    </App>,
  )
  await screen.findByLabelText('Play')
  key(' ')
  expect(band.start).not.toHaveBeenCalled()
  workedOut(timeline)
  await waitFor(() => expect(band.start).toHaveBeenCalledTimes(1))
  const [given] = vi.mocked(band.setTimeline).mock.invocationCallOrder
  const [started] = vi.mocked(band.start).mock.invocationCallOrder
  expect(given).toBeLessThan(started ?? 0)
})
