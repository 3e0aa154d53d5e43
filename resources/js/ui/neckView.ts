import { create } from 'zustand'
import type { Person } from '../api/types'

export type NeckView = Person['neck']

/** How whoever is signed in wants necks drawn; kept with the person, so that it holds on every device. */
export const useNeckView = create<NeckView>(() => ({ left_handed: false, high_on_top: false }))
