<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Http\Resources\LockResource;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Hand\Levels;

final class Lock extends CoreCommand
{
    protected $signature = 'gravik:lock {take} {--plan=} {--tempo=} {--first-beat=} {--latency-ms=0} {--bars= : that were asked for} {--level=3} {--json}';

    protected $description = 'A take (JSON taps, a MIDI file or a WAV recording) held against a breakdown: bias, spread, swing, missed and extra';

    protected function compute(): void
    {
        if ($this->text('plan') === '') {
            throw UnusableInput::needs('Say what was to be played: --plan=FILE.gravik.json.');
        }
        $breakdown = $this->breakdownFile($this->text('plan'));
        $timeline = (new Performer())->perform($breakdown, $this->tempo(), null, (int) ($this->number('level') ?? Levels::HIGHEST));
        $bars = $this->number('bars');
        $report = (new LockReporter())->report(
            $this->take($timeline),
            $timeline,
            $breakdown->start->feel->unit,
            $this->number('latency-ms'),
            bars: $bars === null ? null : (int) $bars,
        );
        $this->answer(LockResource::of($report), [
            sprintf(
                '%d of %d planned strokes met, %d missed, %d extra',
                $report->matched,
                $report->planned,
                $report->missed,
                $report->extra,
            ),
            ...array_map(static fn (Finding $finding): string => $finding->text, $report->findings),
        ]);
    }

    private function take(Timeline $timeline): Take
    {
        $file = $this->takeFile($this->word('take'));
        $firstBeat = $this->number('first-beat');

        return $firstBeat === null && $file->hearing !== null
            ? Take::placed($file->strokes, $timeline, $file->hearing->ear)
            : Take::of($file->strokes, $firstBeat ?? 0.0, $file->hearing?->ear);
    }
}
