import type {
  BreakdownDocument,
  Line as LineDocument,
  Pass as PassDocument,
  Pattern as PatternDocument,
  Pin as PinDocument,
  Stroke as StrokeDocument,
} from './breakdown.gen'
import type { Answer } from './client'
import type { components } from './openapi.gen'

type Schemas = components['schemas']

export type { BreakdownDocument, LineDocument, PassDocument, PatternDocument, PinDocument, StrokeDocument }
export type Person = Schemas['Person']
export type BreakdownCard = Schemas['BreakdownCard']
export type StoredBreakdown = Answer<'GET', '/api/breakdowns/{id}'>
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
export type Band = Schemas['Band']
export type Beside = Schemas['Beside']
export type LaidFigure = Schemas['LaidFigure']
export type SongPlace = Schemas['SongPlace']
export type Families = Schemas['Families']
export type FamilyRoute = Schemas['FamilyRoute']
export type Remark = Schemas['Remark']
export type HarmonisedNote = Schemas['HarmonisedNote']
export type RiffNote = Schemas['RiffNote']
export type RiffPlace = Schemas['RiffPlace']
export type School = PatternDocument['school']
export type Feel = BreakdownDocument['start']['feel']
export type LibraryPattern = Answer<'GET', '/api/patterns'>[number]
export type UsualForm = Schemas['UsualForm']
export type Starts = Answer<'GET', '/api/starts'>
export type Student = Schemas['Student']
export type OwnGrip = Schemas['OwnGrip']
export type HardGrip = Answer<'POST', '/api/compute/easier'>[number]
export type StatedTuning = Answer<'POST', '/api/compute/stated-tuning'>
export type VoicedChord = Schemas['VoicedChord']
export type Path = Schemas['Path']
export type Hand = Schemas['Hand']
export type SchoolInUse = Schemas['SchoolInUse']
export type PatternReading = Schemas['PatternReading']
export type Hearing = Schemas['Hearing']
export type AskedHearing = Schemas['AskedHearing']
export type HeardStroke = Schemas['HeardStroke']
export type HeardChord = Schemas['HeardChord']
export type Sketch = Answer<'POST', '/api/compute/sketch'>
export type FeelOffer = Schemas['FeelOffer']
export type FeelReading = Schemas['FeelReading']
export type Ladder = Answer<'POST', '/api/compute/ladder'>
export type Backing = Schemas['Backing']
export type Lesson = Schemas['Lesson']
export type LessonStage = Schemas['LessonStage']
export type OpenStage = Schemas['OpenStage']
export type Arrangement = 'with-band' | 'alone'
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
export type Voicings = Answer<'POST', '/api/compute/voicings'>
export type Choices = Answer<'GET', '/api/choices'>
/** What a take must keep within to pass a stage, as the document has it. */
export type Gate = NonNullable<BreakdownDocument['lesson'][number]['gate']>
export type Tap = { t: number; key: 'down' | 'up'; dead?: boolean }
