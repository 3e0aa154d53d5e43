<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Breakdown\Stage;
use Gravik\Listening\Finding;
use Gravik\Listening\LockReport;
use Gravik\Listening\LockReporter;
use Gravik\Listening\SlotFigures;
use Gravik\Listening\Statistics;
use Gravik\Listening\SwingPlayed;
use Gravik\Time\Ruler;
use Gravik\Time\SwingUnit;

/**
 * Says in plain words what a report shows: at most three things that are off, the worst first, and one that holds. A
 * cause (placement, swing) swallows its slots unless one is half again worse.
 *
 * @internal used by LockReporter
 */
final readonly class Findings
{
    private const MOST = 3;

    private const HALF_AGAIN = 1.5;

    /** A drift is worth saying when the line gains twice the bias allowed. */
    private const DRIFT_IN_BIASES = 2.0;

    private const SLOW_SHARE = 2 / 3;

    public function __construct(private Ruler $ruler, private SwingUnit $unit, private ?float $cleanTempo) {}

    /** @param ?Finding $other that the take is of something else, which leaves nothing else to say */
    public function addedTo(LockReport $report, ?Deviations $deviations, ?Finding $other): LockReport
    {
        if ($other !== null) {
            return $this->with($report, [$other], [$other->kind === 'tempo' ? 'another tempo than was asked' : 'another part than was asked', ...$this->failed($report)]);
        }
        if ($report->matched < LockReporter::FEWEST || $deviations === null) {
            $text = $report->played === 0
                ? 'No strokes were heard. Tap F for down and J for up while the band plays.'
                : sprintf('Only %d of your %d strokes met the plan: too few to say how they sit. Play at least four bars.', $report->matched, $report->played);

            return $this->with($report, [new Finding('too-few', [], $text)], ['too few strokes to judge']);
        }
        $placed = $this->placement($report);
        $swung = $this->swing($report);
        $off = array_filter([
            $placed,
            $swung,
            ...$this->slots($report, $placed, $swung),
            $this->looseness($report),
            $this->missed($report),
            $this->extra($report),
            $this->drift($report, $deviations),
            ...(new HandFindings($this->practiceTempo()))->of($report),
        ], static fn (?Finding $finding): bool => $finding !== null && $finding->severity > 1);
        usort($off, static fn (Finding $a, Finding $b): int => [$b->severity, $b->strokes] <=> [$a->severity, $a->strokes]);
        $holds = $this->holds($report);

        return $this->with($report, [...array_slice($off, 0, self::MOST), ...($holds === null ? [] : [$holds])], $this->failed($report));
    }

    private function placement(LockReport $report): ?Finding
    {
        $bias = (float) $report->biasMs;
        $medians = self::biases($report->slots);
        if (! $report->anchored || ($report->swing !== null && self::isUpbeatsAlone($report)) || count($medians) < 2 || max($medians) - min($medians) > $report->gate->biasMs || min($medians) * max($medians) < 0) {
            return null;
        }
        $device = $report->latencyMs === null ? ' This may be the device: measure its delay first.' : '';

        return new Finding('placement', array_map(static fn (SlotFigures $slot): int => $slot->slot, $report->slots), sprintf(
            'Everything comes %s together. That is placement, not looseness: fine if you mean it, else listen for the drums.%s', self::early($bias), $device,
        ), abs($bias) / $report->gate->biasMs, $report->matched, Stage::BassAndDrums, $this->practiceTempo());
    }

    /** There the swing is measured against the beats of the band, and says all that a placement would. */
    private static function isUpbeatsAlone(LockReport $report): bool
    {
        return array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->n > 0 && ! $slot->offBeat) === [];
    }

    private function swing(LockReport $report): ?Finding
    {
        if ($report->swing === null) {
            return null;
        }
        $points = $report->swing->points();
        $pairMs = 1000 * $this->ruler->tempo->beatSeconds() * ($this->unit === SwingUnit::Eighth ? 1 : 0.5);
        $offBeats = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->offBeat && $slot->n > 0));
        $planned = (int) round(100 * SwingPlayed::share($report->swing->planned));
        $played = (int) round(100 * SwingPlayed::share($report->swing->played));

        return new Finding('swing', array_map(static fn (SlotFigures $slot): int => $slot->slot, $offBeats), sprintf(
            'Your off-beats come %s at %d: %d %% of the %s where the groove wants %d %%. %s',
            self::early($points / 100 * $pairMs),
            (int) round($this->ruler->tempo->bpm),
            $played,
            $this->unit === SwingUnit::Eighth ? 'beat' : 'half beat',
            $planned,
            $points < 0 ? 'Wait for them.' : 'Lift the hand sooner.',
        ), abs($points) / $report->gate->swingPoints, array_sum(array_map(static fn (SlotFigures $slot): int => $slot->n, $offBeats)), Stage::DampedRhythm, $this->practiceTempo());
    }

    /** @return list<Finding> */
    private function slots(LockReport $report, ?Finding $placed, ?Finding $swung): array
    {
        $offBeats = self::biases(array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->offBeat)));
        $findings = [];
        foreach ($report->slots as $slot) {
            if ($slot->biasMs === null || $slot->n < 2) {
                continue;
            }
            $cause = match (true) {
                $placed !== null && $placed->severity > 1 => abs((float) $report->biasMs),
                $swung !== null && $swung->severity > 1 && $slot->offBeat && $offBeats !== [] => abs(Statistics::median($offBeats)),
                default => 0.0,
            };
            if (abs($slot->biasMs) >= self::HALF_AGAIN * $cause) {
                $findings[] = new Finding('slot', [$slot->slot], sprintf('The %s comes %s. Count it aloud and play up to it slowly.', $slot->name, self::early($slot->biasMs)),
                    abs($slot->biasMs) / $report->gate->biasMs, $slot->n, Stage::SlowAndEven, $this->practiceTempo());
            }
        }

        return $findings;
    }

    private function looseness(LockReport $report): Finding
    {
        $spread = (float) $report->spreadMs;

        return new Finding('looseness', array_map(static fn (SlotFigures $slot): int => $slot->slot, $report->slots), sprintf(
            'Your strokes scatter by %d ms where %d ms would lock. Keep the hand rocking through the air strokes.', (int) round($spread), (int) round($report->gate->spreadMs),
        ), $spread / $report->gate->spreadMs, $report->matched, Stage::DampedRhythm, $this->practiceTempo());
    }

    private function missed(LockReport $report): ?Finding
    {
        $slots = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->missed > 0));
        if ($slots === []) {
            return null;
        }
        usort($slots, static fn (SlotFigures $a, SlotFigures $b): int => $b->missed <=> $a->missed);

        return new Finding('missed', array_map(static fn (SlotFigures $slot): int => $slot->slot, $slots), sprintf(
            '%d of %d strokes are missing, most often the %s.', $report->missed, $report->planned, $slots[0]->name,
        ), $report->missed / $report->planned / $report->gate->missedShare, $report->missed, Stage::SlowAndEven, $this->practiceTempo());
    }

    private function extra(LockReport $report): ?Finding
    {
        $slots = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->extra > 0));
        if ($slots === []) {
            return null;
        }
        usort($slots, static fn (SlotFigures $a, SlotFigures $b): int => $b->extra <=> $a->extra);

        return new Finding('extra', array_map(static fn (SlotFigures $slot): int => $slot->slot, $slots), sprintf(
            '%d %s not in the part, most often near the %s: let the hand pass through the air there.', $report->extra, $report->extra === 1 ? 'stroke is' : 'strokes are', $slots[0]->name,
        ), $report->extra / $report->planned / $report->gate->missedShare, $report->extra, Stage::SlowAndEven, $this->practiceTempo());
    }

    private function drift(LockReport $report, Deviations $deviations): Finding
    {
        return new Finding('drift', [], sprintf(
            'You %s the band: %d ms from the first bar to the last.', $deviations->lineMs < 0 ? 'pull ahead of' : 'fall behind', (int) round(abs($deviations->lineMs)),
        ), abs($deviations->lineMs) / (self::DRIFT_IN_BIASES * $report->gate->biasMs), $report->matched, Stage::BassAndDrums, $this->practiceTempo());
    }

    private function holds(LockReport $report): ?Finding
    {
        $held = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->n >= 3 && $slot->biasMs !== null && abs($slot->biasMs) <= $report->gate->biasMs
            && $slot->spreadMs !== null && $slot->spreadMs <= $report->gate->spreadMs));
        if ($held === []) {
            return null;
        }
        usort($held, static fn (SlotFigures $a, SlotFigures $b): int => abs((float) $a->biasMs) + (float) $a->spreadMs <=> abs((float) $b->biasMs) + (float) $b->spreadMs);

        return new Finding('holds', [$held[0]->slot], sprintf('The %s holds: %s, within %d ms. Keep it as your anchor.', $held[0]->name, self::early((float) $held[0]->biasMs), (int) round((float) $held[0]->spreadMs)), 0.0, $held[0]->n);
    }

    /** @return list<string> */
    private function failed(LockReport $report): array
    {
        $gate = $report->gate;
        $points = $report->swing?->points() ?? 0.0;

        return array_values(array_filter([
            abs((float) $report->biasMs) > $gate->biasMs ? sprintf('%s overall; within %d ms passes', self::early((float) $report->biasMs), (int) $gate->biasMs) : null,
            $report->spreadMs > $gate->spreadMs ? sprintf('spread %d ms; up to %d ms passes', (int) round($report->spreadMs), (int) $gate->spreadMs) : null,
            abs($points) > $gate->swingPoints ? sprintf('swing %s points off; within %d passes', number_format(abs($points), 1), (int) $gate->swingPoints) : null,
            $report->missed / max(1, $report->planned) > $gate->missedShare ? sprintf('%d of %d strokes missed; %d %% passes', $report->missed, $report->planned, (int) round(100 * $gate->missedShare)) : null,
        ]));
    }

    private function practiceTempo(): int
    {
        return (int) round($this->cleanTempo ?? self::SLOW_SHARE * $this->ruler->tempo->bpm);
    }

    /**
     * @param list<Finding> $findings
     * @param list<string>  $failed
     */
    private function with(LockReport $report, array $findings, array $failed): LockReport
    {
        return new LockReport($report->planned, $report->played, $report->matched, $report->missed, $report->extra, $report->latencyMs, $report->biasMs, $report->spreadMs,
            $report->driftBpmPerMin, $report->swing, $report->directionsTold, $report->directionsWrong, $report->slots, $report->hits, $findings, $failed, $report->gate, $report->anchored);
    }

    /**
     * @param list<SlotFigures> $slots
     *
     * @return list<float>
     */
    private static function biases(array $slots): array
    {
        return array_values(array_filter(array_map(static fn (SlotFigures $slot): ?float => $slot->biasMs, $slots), static fn (?float $bias): bool => $bias !== null));
    }

    /** "12 ms early", "on time". */
    private static function early(float $ms): string
    {
        $rounded = (int) round(abs($ms));

        return $rounded === 0 ? 'on time' : sprintf('%d ms %s', $rounded, $ms < 0 ? 'early' : 'late');
    }
}
