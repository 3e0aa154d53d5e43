<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Http\Resources\LockResource;
use Gravik\Listening\Finding;
use Gravik\Listening\ListeningException;
use Gravik\Listening\LockReporter;
use Gravik\Listening\Take;
use Gravik\Performance\Performer;

final class Lock extends CoreCommand
{
    protected $signature = 'gravik:lock {take} {--plan=} {--tempo=} {--first-beat=0} {--latency-ms=0} {--json}';

    protected $description = 'A take (JSON taps) held against a breakdown: bias, spread, swing, missed and extra';

    protected function compute(): void
    {
        if ($this->text('plan') === '') {
            throw UnusableInput::needs('Say what was to be played: --plan=FILE.gravik.json.');
        }
        $breakdown = $this->breakdownFile($this->text('plan'));
        $taps = json_decode($this->contents($this->word('take')), true) ?? throw ListeningException::notATake();
        $timeline = (new Performer())->perform($breakdown, $this->tempo());
        $report = (new LockReporter())->report(Take::read($taps, $this->number('first-beat') ?? 0.0), $timeline, $breakdown->feel->unit, $this->number('latency-ms'));
        $this->answer(LockResource::of($report), [
            sprintf('%d of %d planned strokes met, %d missed, %d extra', $report->matched, $report->planned, $report->missed, $report->extra),
            ...array_map(static fn (Finding $finding): string => $finding->text, $report->findings),
        ]);
    }
}
