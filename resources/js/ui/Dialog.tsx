import { Modal, type ModalProps } from 'antd'
import { useEffect, useRef } from 'react'

const FIELD = 'input:not([type=hidden]):not([disabled]), textarea:not([disabled])'

/** Where the focus goes when what had it is gone: the head of the page. */
const home = (): HTMLElement | null => document.querySelector<HTMLElement>('main h1, main h2, main')

const focusOn = (element: HTMLElement | null) => {
  if (element === null) return
  if (element.tabIndex < 0 && !element.hasAttribute('tabindex')) element.setAttribute('tabindex', '-1')
  element.focus()
}

/** A sheet over the page: the focus begins on its first field, or on the sheet itself, and goes back to where it was. */
export function Dialog(props: ModalProps) {
  const body = useRef<HTMLDivElement>(null)
  const before = useRef<HTMLElement | null>(null)
  const open = props.open ?? false
  const goBack = () => {
    const to = before.current
    before.current = null
    if (to !== null) focusOn(to.isConnected && to !== document.body ? to : home())
  }
  // What had the focus is noted while this renders: once the sheet stands, it has the focus itself.
  if (open && before.current === null && document.activeElement instanceof HTMLElement) before.current = document.activeElement
  useEffect(() => (open ? goBack : undefined), [open])
  return (
    <Modal
      transitionName=""
      maskTransitionName=""
      {...props}
      afterOpenChange={(nowOpen) => {
        // Who types already keeps their field: a sheet may stand for a while before it says that it is open.
        const typing = document.activeElement?.matches(FIELD) === true && body.current?.contains(document.activeElement) === true
        if (nowOpen && !typing) focusOn(body.current?.querySelector<HTMLElement>(FIELD) ?? body.current)
        props.afterOpenChange?.(nowOpen)
      }}
    >
      <div ref={body} tabIndex={-1} className="dialog-body">
        {props.children}
      </div>
    </Modal>
  )
}
