import { render, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import '../testing/page'
import { Dialog } from './Dialog'

/** Stands in for the sheet that says when it is open as late as a busy machine says it. */
const sheet = vi.hoisted(() => ({ opened: undefined as unknown as (open: boolean) => void }))
vi.mock('antd', async (original) => ({
  ...(await original<Record<string, unknown>>()),
  Modal: ({ open, children, afterOpenChange }: { open: boolean; children: React.ReactNode; afterOpenChange: (open: boolean) => void }) => {
    sheet.opened = afterOpenChange
    return open ? <div role="dialog">{children}</div> : null
  },
}))

const fields = (open: boolean) => (
  <>
    <button>opens it</button>
    <Dialog open={open}>
      <input aria-label="first" />
      <input aria-label="second" />
    </Dialog>
  </>
)

it('gives the focus to its first field, and back to where it was', async () => {
  const shown = render(fields(false))
  screen.getByText('opens it').focus()
  shown.rerender(fields(true))
  sheet.opened(true)
  expect(document.activeElement).toBe(screen.getByLabelText('first'))
  shown.rerender(fields(false))
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText('opens it')))
})

it('leaves the focus with who types already before it says that it is open', () => {
  render(fields(true))
  screen.getByLabelText('second').focus()
  sheet.opened(true)
  expect(document.activeElement).toBe(screen.getByLabelText('second'))
})
