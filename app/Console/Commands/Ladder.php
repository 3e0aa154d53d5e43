<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Http\Resources\LadderResource;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderPlanner;
use Gravik\Lesson\LadderStep;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

final class Ladder extends CoreCommand
{
    protected $signature = 'gravik:ladder {--start=} {--goal=} {--minutes=} {--step= : per cent, 3 to 8, otherwise 5} {--bars=4}
        {--mode=gated : gated, ramp or bursts} {--meter=4/4} {--json}';

    protected $description = 'The tempos of a practice ladder, with cycles and minutes';

    protected function compute(): void
    {
        $asked = fn (string $option): float => $this->number($option)
            ?? throw UnusableInput::needs('A ladder needs --start and --goal in beats a minute, and --minutes.');
        $ladder = (new LadderPlanner())->plan(new Tempo($asked('start')), new Tempo($asked('goal')), $asked('minutes'), Meter::parse($this->text('meter', '4/4')),
            LadderMode::parse($this->text('mode', 'gated')), $this->number('step') ?? LadderPlanner::USUAL_STEP, $this->whole('bars', 4));
        $this->answer(LadderResource::of($ladder), [
            ...array_map(
                static fn (LadderStep $step): string => sprintf(
                    '%3d  %d × %d bars, %d s',
                    $step->bpm,
                    $step->cycles,
                    $step->bars,
                    (int) round($step->seconds),
                ),
                $ladder->steps,
            ),
            sprintf('%.1f minutes%s', $ladder->minutes(), $ladder->fits ? '' : sprintf('; the time given carries to %d', $ladder->goal)),
        ]);
    }
}
