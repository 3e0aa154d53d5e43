import { createContext, useContext } from 'react'
import { useStore } from 'zustand'
import type { Desk, Place } from '../../api/desk'
import type { Played } from '../../api/queries'
import type { Arrangement, BreakdownDocument, SongPlace, Timeline } from '../../api/types'
import type { DocumentState, DocumentStore } from './documentStore'

export type BenchValue = {
  store: DocumentStore
  /** the section of a pass that is worked at, with what is played there */
  desk: Desk
  /** every such place of the song; empty while everywhere is alike */
  places: SongPlace[]
  setPlace: (place: Place) => void
  /** the tempo that is played and tapped at, which need not be the written one */
  tempo: number
  setTempo: (tempo: number) => void
  /** how far the guitar's pattern is thinned: 1 to 3, 3 is all of it */
  level: number
  setLevel: (level: number) => void
  /** key of the stage of the lesson that is worked at; null: the whole song */
  stage: string | null
  setStage: (stage: string | null) => void
  /** with the band, or filled for a guitar alone */
  arrangement: Arrangement
  setArrangement: (arrangement: Arrangement) => void
  /** what sounds here: a stage lies on the stand only where the lesson is given and practised */
  played: Played
  timeline: Timeline | undefined
}

export const BenchContext = createContext<BenchValue | null>(null)

export function useBench(): BenchValue {
  const value = useContext(BenchContext)
  if (value === null) throw new Error('useBench needs the bench around it')
  return value
}

export const useDesk = (): Desk => useBench().desk

export function useDocument(): BreakdownDocument {
  return useStore(useBench().store, (state: DocumentState) => state.document)
}

export function useMine(): boolean {
  return useStore(useBench().store, (state: DocumentState) => state.mine)
}
