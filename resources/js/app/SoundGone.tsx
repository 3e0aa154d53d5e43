import { App } from 'antd'
import { useEffect } from 'react'
import { onSoundGone } from '../audio/context'

/** Says it when the device's sound goes away, as it does when its headphones are pulled out. */
export function SoundGone() {
  const { message } = App.useApp()
  useEffect(
    () =>
      onSoundGone(
        () =>
          void message.error({
            key: 'sound',
            content:
              'This device gives no sound, so everything stopped; what you played until then is kept. ' +
              'Check its loudspeaker or headphones, then start again.',
            duration: 10,
          }),
      ),
    [message],
  )
  return null
}
