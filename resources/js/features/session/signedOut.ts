import { create } from 'zustand'

/** Raised when the server says we are signed out; the page stays as it is under the sign-in sheet. */
export const useSignedOut = create<{ raised: boolean }>(() => ({ raised: false }))

export const signedOut = { raise: () => useSignedOut.setState({ raised: true }), clear: () => useSignedOut.setState({ raised: false }) }
