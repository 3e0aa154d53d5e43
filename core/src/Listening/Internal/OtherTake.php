<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\FeelMeter;
use Gravik\Listening\Finding;
use Gravik\Listening\LockReport;
use Gravik\Listening\Matcher;
use Gravik\Listening\Plan;
use Gravik\Listening\PlannedOnset;
use Gravik\Listening\Take;
use Gravik\Listening\Tap;
use Gravik\Performance\Timeline;

/**
 * Recognises a take that was played at another tempo, or of another breakdown: then its figures say little about how
 * the part sits.
 *
 * @internal used by LockReporter
 */
final readonly class OtherTake
{
    /** Another tempo by more than this share is not a drift any more. */
    private const OTHER_TEMPO = 0.03;

    /** Only a take that misses so many, as a share of those it meets, or scatters so far, is looked at. */
    private const UNMET = 0.4;

    private const SCATTERED_MS = 40.0;

    /** At half or double the tempo, so many of the strokes, and of the plan's, meet. */
    private const FITS = 0.85;

    private const PACES = ['half' => 0.5, 'double' => 2.0];

    public function __construct(private Timeline $timeline, private Matcher $matcher) {}

    public function finding(LockReport $report, Take $take): ?Finding
    {
        $unmet = $report->missed + $report->extra;
        if (($unmet <= self::UNMET * $report->matched && $report->spreadMs < self::SCATTERED_MS) || count($take->taps) < 2 * FeelMeter::FEWEST) {
            return null;
        }
        $asked = $this->timeline->ruler->tempo->bpm;
        $pace = $this->pace($take);
        if ($pace !== null) {
            return new Finding('tempo', [], sprintf('This take plays the part at %s the tempo: about %d beats a minute where %d were asked. Set the tempo to what you play, or count with the click.', $pace, (int) round($asked * self::PACES[$pace]), (int) round($asked)));
        }
        $kept = (new FeelMeter())->measure($take->taps, $this->timeline->ruler->meter)->tempoBpm;
        // Half and double may be the same tempo, counted otherwise.
        $apart = min(array_map(static fn (float $times): float => abs($times * $kept / $asked - 1), [0.5, 1.0, 2.0]));
        $met = sprintf('%d of %d strokes met the plan', $report->matched, $report->played);

        if ($apart > self::OTHER_TEMPO) {
            return new Finding('tempo', [], sprintf('This take keeps %d beats a minute, and %d were asked: %s. Play along to the click, or set the tempo to what you play.', (int) round($kept), (int) round($asked), $met));
        }

        return $unmet > $report->matched ? new Finding('other', [], sprintf('Most of this take is not this part: %s. Is it a take of another breakdown?', $met)) : null;
    }
    /** @return 'half'|'double'|null at which the strokes would meet the plan */
    private function pace(Take $take): ?string
    {
        foreach (self::PACES as $pace => $times) {
            $played = array_map(static fn (Tap $tap): float => $times * $tap->t, $take->taps);
            $plan = Plan::of($this->timeline, max([0.0, ...$played]));
            $planned = array_map(static fn (PlannedOnset $onset): float => $onset->t, $plan->onsets);
            $until = max([0.0, ...$played]) + $plan->smallestGap() / 2;
            $due = count(array_filter($planned, static fn (float $t): bool => $t <= $until));
            $met = count($this->matcher->match($planned, $played, $plan->smallestGap(), $plan->ruler->tempo->beatSeconds())->pairs);
            if ($met >= self::FITS * max(count($played), $due)) {
                return $pace;
            }
        }

        return null;
    }
}
