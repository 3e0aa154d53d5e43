<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\FeelMeter;
use Gravik\Listening\Finding;
use Gravik\Listening\LockReport;
use Gravik\Listening\Take;
use Gravik\Time\Ruler;

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

    public function __construct(private Ruler $ruler) {}

    public function finding(LockReport $report, Take $take): ?Finding
    {
        $unmet = $report->missed + $report->extra;
        if (($unmet <= self::UNMET * $report->matched && $report->spreadMs < self::SCATTERED_MS) || count($take->taps) < 2 * FeelMeter::FEWEST) {
            return null;
        }
        $asked = $this->ruler->tempo->bpm;
        $kept = (new FeelMeter())->measure($take->taps, $this->ruler->meter)->tempoBpm;
        // Half and double are the same tempo, counted otherwise.
        $apart = min(array_map(static fn (float $times): float => abs($times * $kept / $asked - 1), [0.5, 1.0, 2.0]));
        $met = sprintf('%d of %d strokes met the plan', $report->matched, $report->played);

        if ($apart > self::OTHER_TEMPO) {
            return new Finding('tempo', [], sprintf('This take keeps %d beats a minute, and %d were asked: %s. Play along to the click, or set the tempo to what you play.', (int) round($kept), (int) round($asked), $met));
        }

        return $unmet > $report->matched ? new Finding('other', [], sprintf('Most of this take is not this part: %s. Is it a take of another breakdown?', $met)) : null;
    }
}
