import { Button } from 'antd'
import { useEffect, useState, type ComponentType } from 'react'

type Loaded<P> = ComponentType<P> | 'loading' | 'failed'

/**
 * A screen whose code is fetched when it is first shown. Where the network is away it says so and offers to try again, and
 * tries by itself when the network is back.
 */
export function chunk<P extends object>(load: () => Promise<{ default: ComponentType<P> }>, words: string): ComponentType<P> {
  let known: ComponentType<P> | null = null
  return function Chunk(props: P) {
    const [loaded, setLoaded] = useState<Loaded<P>>(() => known ?? 'loading')
    useEffect(() => {
      if (loaded !== 'loading') return
      let gone = false
      load().then(
        (module) => {
          known = module.default
          if (!gone) setLoaded(() => module.default)
        },
        () => gone || setLoaded('failed'),
      )
      return () => void (gone = true)
    }, [loaded])
    useEffect(() => {
      if (loaded !== 'failed') return
      const again = () => setLoaded('loading')
      window.addEventListener('online', again)
      return () => window.removeEventListener('online', again)
    }, [loaded])
    if (loaded === 'loading') return <p className="loading">{words}</p>
    if (loaded === 'failed') {
      return (
        <div className="empty" role="alert">
          <h2>This part of Gravik could not be fetched</h2>
          <p>The connection or the server is away. Your work is kept in this browser.</p>
          <Button type="primary" onClick={() => setLoaded('loading')}>
            Try again
          </Button>
        </div>
      )
    }
    const Screen = loaded
    return <Screen {...props} />
  }
}
