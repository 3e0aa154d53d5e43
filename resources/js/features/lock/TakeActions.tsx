import { Button, Select } from 'antd'
import { heardWords } from '../../api/hearings'
import type { useJudge } from './useJudge'
import type { useTaking } from './useTaking'

type Props = {
  taking: ReturnType<typeof useTaking>
  judge: ReturnType<typeof useJudge>
  canRecord: boolean
  onUpload: () => void
  onPractise: () => void
}

/** Ways to give a take, or the way to end the one that runs. */
export function TakeActions({ taking, judge, canRecord, onUpload, onPractise }: Props) {
  return (
    <div className="title-actions">
      {taking.busy ? (
        <Button danger onClick={taking.stop}>
          Stop <kbd>Esc</kbd>
        </Button>
      ) : (
        <>
          <Select
            aria-label="Bars to record"
            value={taking.asked}
            options={taking.ranges.map(({ value, label }) => ({ value, label }))}
            onChange={taking.setAsked}
            popupMatchSelectWidth={false}
            style={{ minWidth: 92 }}
          />
          <Button
            onClick={onUpload}
            disabled={!canRecord || judge.hearing}
            loading={judge.hearing}
            title="A WAV or MIDI file of you alone, at the tempo below"
          >
            {judge.hearing ? heardWords(judge.heard) : 'Upload'} <kbd>U</kbd>
          </Button>
          <Button onClick={taking.listen} disabled={!canRecord || judge.hearing}>
            Microphone <kbd>M</kbd>
          </Button>
          <Button onClick={onPractise} disabled={!canRecord}>
            Ladder <kbd>P</kbd>
          </Button>
          <Button type="primary" onClick={taking.record} disabled={!canRecord}>
            Record a take <kbd className="on-ink">R</kbd>
          </Button>
        </>
      )}
    </div>
  )
}
