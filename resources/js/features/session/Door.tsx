import { lazy, Suspense } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { useStart } from '../../api/school'
import { SignInPage } from './SignIn'

const doors = () => import('../people/Doors')
const BeginPage = lazy(() => doors().then((page) => ({ default: page.BeginPage })))
const JoinPage = lazy(() => doors().then((page) => ({ default: page.JoinPage })))
const CodePage = lazy(() => doors().then((page) => ({ default: page.CodePage })))

/** Who is not signed in stands before one of four doors: the sign-in, a link, a class code, or a school that nobody has begun. */
export function Door({ onDone }: { onDone: () => void }) {
  const { pathname } = useLocation()
  const navigate = useNavigate()
  const start = useStart().data
  const token = /^\/join\/([^/]+)$/.exec(pathname)?.[1]
  const inside = () => {
    onDone()
    void navigate('/')
  }
  return (
    <Suspense fallback={<p className="loading">Opening the door …</p>}>
      {token !== undefined ? (
        <JoinPage token={token} onDone={inside} />
      ) : pathname === '/join' ? (
        <CodePage onDone={inside} />
      ) : start?.empty === true ? (
        <BeginPage onDone={inside} />
      ) : (
        <SignInPage onDone={onDone} />
      )}
    </Suspense>
  )
}
