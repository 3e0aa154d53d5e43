import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { App as AntApp, ConfigProvider } from 'antd'
import { BrowserRouter, Link, Route, Routes } from 'react-router'
import { ApiError } from '../api/client'
import { ErrorBoundary } from './ErrorBoundary'
import { SessionGate } from '../features/session/SessionGate'
import { signedOut } from '../features/session/signedOut'
import { chunk } from '../ui/chunk'
import { Hatches } from '../ui/Hatches'
import { Later } from '../ui/Later'
import { SoundGone } from './SoundGone'
import { theme } from './theme'

const Shelf = chunk(() => import('../features/shelf/Shelf'), 'Laying out the page …')
const Students = chunk(() => import('../features/students/StudentsPage'), 'Calling the roll …')
const Day = chunk(() => import('../features/day/DayPage'), 'Looking at the day …')
const Practise = chunk(() => import('../features/practise/PractisePage'), 'Laying it on the stand …')
const loadBench = () => import('../features/bench/Bench')
const Bench = chunk(loadBench, 'Laying out the page …')
// Who opens a breakdown by its address need not wait for the session first; where it fails, the chunk tries again.
if (window.location.pathname.startsWith('/breakdown/')) loadBench().catch(() => undefined)

const client = new QueryClient({
  queryCache: new QueryCache({
    onError: (problem) => {
      if (problem instanceof ApiError && [401, 419].includes(problem.status)) signedOut.raise()
    },
  }),
  defaultOptions: {
    // What lies in the browser's own store is answered without a connection too.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      refetchOnWindowFocus: false,
      retry: (count, problem) => count < 2 && problem instanceof ApiError && (problem.status === 0 || problem.status >= 500),
    },
  },
})

const NotHere = () => (
  <main className="plain-page">
    <h1>There is nothing at this address</h1>
    <p>Perhaps it was typed wrong, or what stood here has moved.</p>
    <Link to="/">Back to the shelf</Link>
  </main>
)

const SignedInAlready = () => (
  <main className="plain-page">
    <h1>You are signed in</h1>
    <p>This link is for somebody who has no account yet, or who forgot a password. Sign out first, then follow it once more.</p>
    <Link to="/">To the shelf</Link>
  </main>
)

/** The library works its colours and sizes out first, in a task of its own; what is drawn with them comes right after. */
export function App() {
  return (
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <Later>
        <AntApp notification={{ placement: 'bottomLeft', bottom: 92 }} message={{ top: 70 }}>
          <Hatches />
          <SoundGone />
          <QueryClientProvider client={client}>
            <ErrorBoundary>
              <BrowserRouter>
                <SessionGate>
                  <Routes>
                    <Route path="/" element={<Shelf />} />
                    <Route path="/students" element={<Students />} />
                    <Route path="/day" element={<Day />} />
                    <Route path="/practise/:id" element={<Practise />} />
                    <Route path="/join/:token" element={<SignedInAlready />} />
                    <Route path="/breakdown/:id/:station?" element={<Bench />} />
                    <Route path="*" element={<NotHere />} />
                  </Routes>
                </SessionGate>
              </BrowserRouter>
            </ErrorBoundary>
          </QueryClientProvider>
        </AntApp>
      </Later>
    </ConfigProvider>
  )
}
