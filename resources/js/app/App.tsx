import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { App as AntApp, ConfigProvider } from 'antd'
import { lazy, Suspense } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { ApiError } from '../api/client'
import { ErrorBoundary } from './ErrorBoundary'
import { SessionGate } from '../features/session/SessionGate'
import { signedOut } from '../features/session/signedOut'
import { Hatches } from '../ui/Hatches'
import { theme } from './theme'

const Shelf = lazy(() => import('../features/shelf/Shelf'))
const Bench = lazy(() => import('../features/bench/Bench'))

const client = new QueryClient({
  queryCache: new QueryCache({
    onError: (problem) => {
      if (problem instanceof ApiError && [401, 419].includes(problem.status)) signedOut.raise()
    },
  }),
  defaultOptions: { queries: { refetchOnWindowFocus: false, retry: (count, problem) => count < 2 && problem instanceof ApiError && (problem.status === 0 || problem.status >= 500) } },
})

export function App() {
  return (
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <AntApp notification={{ placement: 'bottomLeft', bottom: 92 }} message={{ top: 70 }}>
        <Hatches />
        <QueryClientProvider client={client}>
          <ErrorBoundary>
            <BrowserRouter>
              <SessionGate>
                <Suspense fallback={<p className="loading">Laying out the page …</p>}>
                  <Routes>
                    <Route path="/" element={<Shelf />} />
                    <Route path="/breakdown/:id/:station?" element={<Bench />} />
                    <Route path="*" element={<Navigate to="/" replace />} />
                  </Routes>
                </Suspense>
              </SessionGate>
            </BrowserRouter>
          </ErrorBoundary>
        </QueryClientProvider>
      </AntApp>
    </ConfigProvider>
  )
}
