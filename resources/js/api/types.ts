import type { BreakdownDocument, Line as LineDocument, Pattern as PatternDocument, Pin as PinDocument, Stroke as StrokeDocument } from './breakdown.gen'
import type { components } from './openapi.gen'

type Schemas = components['schemas']

export type { BreakdownDocument, LineDocument, PatternDocument, PinDocument, StrokeDocument }
export type Person = Schemas['Person']
export type BreakdownCard = Schemas['BreakdownCard']
export type StoredBreakdown = Omit<Schemas['StoredBreakdown'], 'document'> & { document: BreakdownDocument }
export type Version = Schemas['Version']
export type Chart = Schemas['Chart']
export type ChartSection = Schemas['ChartSection']
export type ChartBar = Schemas['ChartBar']
export type ChartProblem = Schemas['ChartProblem']
export type Voicing = Schemas['Voicing']
export type NeckMap = Schemas['NeckMap']
export type DoubleStop = Schemas['DoubleStop']
export type StringsPlan = Schemas['StringsPlan']
export type ChordName = Schemas['ChordName']
export type ApproachOffer = Schemas['ApproachOffer']
export type GripChange = Schemas['GripChange']
export type Patch = Schemas['Patch']
export type Fix = Schemas['Fix']
export type SongPlace = Schemas['SongPlace']
export type Families = Schemas['Families']
export type FamilyRoute = Schemas['FamilyRoute']
export type Remark = Schemas['Remark']
export type HarmonisedNote = Schemas['HarmonisedNote']
export type RiffNote = Schemas['RiffNote']
export type RiffPlace = Schemas['RiffPlace']
export type School = PatternDocument['school']
export type Feel = BreakdownDocument['start']['feel']
export type LibraryPattern = Omit<Schemas['LibraryPattern'], 'pattern' | 'feel' | 'school'> & { pattern: Pick<PatternDocument, 'ticks' | 'streams'>; feel: Feel; school: School }
export type UsualForm = Schemas['UsualForm']
export type Starter = Omit<Schemas['Starter'], 'pattern' | 'feel' | 'school'> & { pattern: Pick<PatternDocument, 'ticks' | 'streams'>; feel: Feel; school: School }
export type Student = Schemas['Student']
export type OwnGrip = Schemas['OwnGrip']
export type HardGrip = { chord: number; symbol: string; why: string; instead: Voicing | null; refusal: string | null }
export type StatedTuning = { slug: string; pitches: string[]; changes: number[]; contradictions: { string: number; typed: string; stated: string }[] }
export type VoicedChord = Schemas['VoicedChord']
export type Path = Schemas['Path']
export type Hand = Schemas['Hand']
export type SchoolInUse = Schemas['SchoolInUse']
export type PatternReading = Schemas['PatternReading']
export type Hearing = Schemas['Hearing']
export type HeardStroke = Schemas['HeardStroke']
export type FeelOffer = Schemas['FeelOffer']
export type FeelReading = Schemas['FeelReading']
export type Ladder = Schemas['Ladder'] & { at: number; raised: { start: number; goal: number }; pause: 'over' | 'rest' | 'tension' | null; backings: Backing[] }
export type Backing = Schemas['Backing']
export type HandSketch = Schemas['HandSketch']
export type HandStroke = Schemas['HandStroke']
export type HandSlot = Schemas['HandSlot']
export type Timeline = Schemas['Timeline']
export type TimedBar = Schemas['TimedBar']
export type TimedEvent = Schemas['TimedEvent']
export type LockReport = Schemas['LockReport']
export type LockSlot = Schemas['LockSlot']
export type Take = Schemas['Take']
export type TakeRow = Schemas['TakeRow']
export type Calibration = Schemas['Calibration']
export type Voicings = { symbol: string; count: number; voicings: Voicing[] }
export type Choices = {
  grooves: { slug: string; name: string; meter: string }[]
  tunings: { slug: string; name: string; strings: string[] }[]
  kinds: { slug: string; name: string }[]
  schools: { slug: School; name: string }[]
  /** of a lesson, from 1 on */
  stages: { slug: Gate['stage']; words: string }[]
  usual_stage: number
  /** of a stroke; with frets where they come from or go to another */
  ornaments: { kind: string; usual_frets: number | null }[]
  /** how practising begins; startShare of the written tempo, minutes of playing before a rest */
  practice: { startShare: number; minutes: number; bars: number; restAfter: number }
  gates: ({ name: string } & Gate['gate'])[]
}
/** What a take must keep within to pass a stage, as the document has it. */
export type Gate = BreakdownDocument['lesson'][number]
export type Tap = { t: number; key: 'down' | 'up'; dead?: boolean }
