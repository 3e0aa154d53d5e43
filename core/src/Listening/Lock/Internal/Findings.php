<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Breakdown\Stage;
use Gravik\Listening\Internal\Deviations;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\FindingKind;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\SlotFigures;
use Gravik\Time\Ruler;
use Gravik\Time\Swing;
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

    private const SLOW_SHARE = 2 / 3;

    public function __construct(private Ruler $ruler, private SwingUnit $unit, private ?float $cleanTempo) {}

    /**
     * @param ?Finding $other that the take is of something else, which leaves nothing else to say
     * @param int      $after strokes missed after the last one that was met
     */
    public function addedTo(LockReport $report, ?Deviations $deviations, ?Finding $other, int $after): LockReport
    {
        if ($other !== null) {
            return $report->saying(
                [$other],
                [
                    $other->kind === FindingKind::Tempo ? 'another tempo than was asked' : 'another part than was asked',
                    ...$this->failed($report),
                ],
            );
        }
        if ($report->matched < LockReporter::FEWEST || $deviations === null) {
            $text = $report->played === 0
                ? 'No strokes were heard. Tap along or play while the band does, and check that the microphone is on.'
                : sprintf(
                    'Only %d of your %d strokes met the plan: too few to say how they sit. Play at least four bars.',
                    $report->matched,
                    $report->played,
                );

            return $report->saying([new Finding(FindingKind::TooFew, [], $text)], ['too few strokes to judge']);
        }
        $causes = Causes::of($report);
        $swung = $this->swing($report);
        $placed = $this->placement($report, $causes);
        $off = array_filter([
            $placed,
            $swung,
            ...$this->slots($report, $causes, ($placed->severity ?? 0.0) > 1, ($swung->severity ?? 0.0) > 1),
            $this->looseness($report),
            $this->missed($report, $after),
            $this->extra($report),
            $this->drift($report, $deviations),
            ...(new HandFindings($this->practiceTempo()))->of($report),
        ], static fn (?Finding $finding): bool => $finding !== null && $finding->severity > 1);
        usort($off, static fn (Finding $a, Finding $b): int => [$b->severity, $b->strokes] <=> [$a->severity, $a->strokes]);
        $sure = array_values(array_filter($off, static fn (Finding $finding): bool => $finding->sure));
        $unsure = array_values(array_filter($off, static fn (Finding $finding): bool => ! $finding->sure));

        return $report->saying(array_values(array_filter([
            ...array_slice($sure, 0, self::MOST),
            $sure === [] && $unsure !== [] ? self::tooFew($unsure[0]) : null,
            $this->holds($report, $causes),
        ])), $this->failed($report));
    }

    /** What may be off, where too few strokes say it. */
    private static function tooFew(Finding $unsure): Finding
    {
        return new Finding(FindingKind::Unsure, $unsure->slots, sprintf(
            'Perhaps: %s But too few strokes say so to be sure. Play more bars, and it will show.',
            lcfirst($unsure->text),
        ), 0.0, $unsure->strokes);
    }

    /**
     * All slots alike: the player's place in the band, or, while the device was never measured, perhaps the device's delay alone;
     * then nothing is said in milliseconds.
     */
    private function placement(LockReport $report, Causes $causes): ?Finding
    {
        if (! $report->anchored || ! $causes->isShared) {
            return null;
        }
        $slots = array_map(static fn (SlotFigures $slot): int => $slot->slot, $report->slots);
        $severity = abs($causes->sharedMs) / $report->gate->biasMs;
        if (! $causes->isKnown) {
            return new Finding(FindingKind::Device, $slots, sprintf(
                'Everything comes %s by about the same. The delay of this device was never measured, so that may be the device alone: '
                    .'measure it first, then play again.',
                $causes->sharedMs < 0 ? 'early' : 'late',
            ), $severity, $report->matched);
        }

        return new Finding(FindingKind::Placement, $slots, sprintf(
            'Everything comes %s together. That is placement, not looseness: fine if you mean it, else listen for the drums.',
            self::early($causes->sharedMs),
        ), $severity, $report->matched, Stage::BassAndDrums, $this->practiceTempo(), $causes->isBeyond($report->gate->biasMs));
    }

    private function swing(LockReport $report): ?Finding
    {
        if ($report->swing === null) {
            return null;
        }
        $points = $report->swing->points();
        $pairMs = 1000 * $this->ruler->tempo->beatSeconds() * ($this->unit === SwingUnit::Eighth ? 1 : 0.5);
        $offBeats = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->offBeat && $slot->n > 0));
        $planned = (int) round(100 * Swing::share($report->swing->planned));
        $played = (int) round(100 * Swing::share($report->swing->played));

        return new Finding(FindingKind::Swing, array_map(static fn (SlotFigures $slot): int => $slot->slot, $offBeats), sprintf(
            'Your off-beats come %s at %d: %d %% of the %s where the groove wants %d %%. %s',
            self::early($points / 100 * $pairMs),
            (int) round($this->ruler->tempo->bpm),
            $played,
            $this->unit === SwingUnit::Eighth ? 'beat' : 'half beat',
            $planned,
            $points < 0 ? 'Wait for them.' : 'Lift the hand sooner.',
        ), abs($points) / $report->gate->swingPoints, array_sum(array_map(
            static fn (SlotFigures $slot): int => $slot->n,
            $offBeats,
        )), Stage::DampedRhythm, $this->practiceTempo(), $report->swing->isBeyond($report->gate->swingPoints));
    }

    /**
     * A slot that is off by half again more than its causes explain, or the other way.
     *
     * @return list<Finding>
     */
    private function slots(LockReport $report, Causes $causes, bool $isPlaced, bool $isSwung): array
    {
        $findings = [];
        foreach ($report->slots as $slot) {
            if ($slot->biasMs === null || $slot->n < 2) {
                continue;
            }
            // Without a measured device only the distance to the other strokes means anything.
            $cause = ($isPlaced || ! $causes->isKnown ? $causes->sharedMs : 0.0) + ($isSwung && $slot->offBeat ? $causes->offBeatMs : 0.0);
            $own = $slot->biasMs - $cause;
            if (abs($own) >= (self::HALF_AGAIN - 1) * abs($cause)) {
                $comes = $causes->isKnown ? self::early($slot->biasMs) : self::early($own).' against your other strokes';
                $findings[] = new Finding(FindingKind::Slot, [$slot->slot], sprintf(
                    'The %s comes %s. Count it aloud and play up to it slowly.',
                    $slot->name,
                    $comes,
                ),
                    abs($own) / $report->gate->biasMs, $slot->n, Stage::SlowAndEven, $this->practiceTempo(),
                    $slot->bias?->less($cause)->isBeyond($report->gate->biasMs) ?? false);
            }
        }

        return $findings;
    }

    private function looseness(LockReport $report): Finding
    {
        $spread = (float) $report->spreadMs;

        return new Finding(FindingKind::Looseness, array_map(static fn (SlotFigures $slot): int => $slot->slot, $report->slots), sprintf(
            'Your strokes scatter by %d ms where %d ms would lock. Keep the hand rocking through the air strokes.',
            (int) round($spread),
            (int) round($report->gate->spreadMs),
        ), $spread / $report->gate->spreadMs, $report->matched, Stage::DampedRhythm, $this->practiceTempo(),
            $report->spread?->isBeyond($report->gate->spreadMs) ?? true);
    }

    private function missed(LockReport $report, int $after): ?Finding
    {
        $slots = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->missed > 0));
        if ($slots === []) {
            return null;
        }
        usort($slots, static fn (SlotFigures $a, SlotFigures $b): int => $b->missed <=> $a->missed);

        $text = $after > $report->missed / 2
            ? sprintf(
                'The take stops before its end: %d of %d strokes come after the last one played. Play it through.',
                $after,
                $report->planned,
            )
            : sprintf('%d of %d strokes are missing, most often the %s.', $report->missed, $report->planned, $slots[0]->name);

        return new Finding(
            FindingKind::Missed,
            array_map(static fn (SlotFigures $slot): int => $slot->slot, $slots),
            $text,
            $report->missed / $report->planned / $report->gate->missedShare,
            $report->missed,
            Stage::SlowAndEven,
            $this->practiceTempo(),
        );
    }

    private function extra(LockReport $report): ?Finding
    {
        $slots = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->extra > 0));
        if ($slots === []) {
            return null;
        }
        usort($slots, static fn (SlotFigures $a, SlotFigures $b): int => $b->extra <=> $a->extra);

        return new Finding(FindingKind::Extra, array_map(static fn (SlotFigures $slot): int => $slot->slot, $slots), sprintf(
            '%d %s not in the part, most often near the %s: let the hand pass through the air there.', $report->extra, $report->extra === 1
                ? 'stroke is'
                : 'strokes are', $slots[0]->name,
        ), $report->extra / $report->planned / $report->gate->missedShare, $report->extra, Stage::SlowAndEven, $this->practiceTempo());
    }

    private function drift(LockReport $report, Deviations $deviations): ?Finding
    {
        $drift = $deviations->drift;

        return $drift === null ? null : new Finding(FindingKind::Drift, [], sprintf(
            'The tempo moves: you are %d ms %s by the end%s. Listen for the hi-hat and let it carry you.',
            (int) round(abs($drift->ms)),
            $drift->ms < 0 ? 'ahead of the band' : 'behind the band',
            $drift->bpmPerMin === null
                ? ''
                : sprintf(
                    ', as if it %s by %s beats a minute each minute',
                    $drift->ms < 0 ? 'rose' : 'fell',
                    number_format(abs($drift->bpmPerMin), 1),
                ),
        ), abs($drift->ms) / $drift->leastMs, $report->matched, Stage::BassAndDrums, $this->practiceTempo());
    }

    private function holds(LockReport $report, Causes $causes): ?Finding
    {
        // Without a measured device a slot sits where the others do.
        $place = static fn (SlotFigures $slot): float => (float) $slot->biasMs - ($causes->isKnown ? 0.0 : $causes->sharedMs);
        $held = array_values(array_filter($report->slots, static fn (SlotFigures $slot): bool => $slot->n >= 3 && $slot->biasMs !== null && abs($place($slot)) <= $report->gate->biasMs
            && $slot->spreadMs !== null && $slot->spreadMs <= $report->gate->spreadMs));
        if ($held === []) {
            return null;
        }
        usort(
            $held,
            static fn (SlotFigures $a, SlotFigures $b): int => abs($place($a))
                + (float) $a->spreadMs <=> abs($place($b))
                + (float) $b->spreadMs,
        );
        $steady = max(1, (int) round((float) $held[0]->spreadMs));
        $sits = match (true) {
            ! $causes->isKnown => sprintf('The %s is your steadiest: within %d ms each time.', $held[0]->name, $steady),
            round(abs($place($held[0]))) < 1 => sprintf('The %s sits on its place, within %d ms each time.', $held[0]->name, $steady),
            default => sprintf(
                'The %s sits well: %d ms %s its place, within %d ms each time.',
                $held[0]->name,
                (int) round(abs($place($held[0]))),
                $place($held[0]) < 0 ? 'before' : 'behind',
                $steady,
            ),
        };

        return new Finding(FindingKind::Holds, [$held[0]->slot], $sits.' Keep it as your anchor.', 0.0, $held[0]->n);
    }

    /** @return list<string> */
    private function failed(LockReport $report): array
    {
        $gate = $report->gate;
        $points = $report->swing?->points() ?? 0.0;

        return array_values(array_filter([
            abs((float) $report->biasMs) > $gate->biasMs
                ? sprintf(
                    '%s overall%s; within %d ms passes',
                    self::early((float) $report->biasMs),
                    $report->latencyMs === null ? ', the device’s delay included' : '',
                    (int) $gate->biasMs,
                )
                : null,
            $report->spreadMs > $gate->spreadMs
                ? sprintf('spread %d ms; up to %d ms passes', (int) round($report->spreadMs), (int) $gate->spreadMs)
                : null,
            abs($points) > $gate->swingPoints
                ? sprintf('swing %s points off; within %d passes', number_format(abs($points), 1), (int) $gate->swingPoints)
                : null,
            // Bias and swing are told after the curve of a drift; a tempo that runs away does not lock for that.
            $report->driftMs !== null ? sprintf('the tempo moves by %d ms over the take', (int) round(abs($report->driftMs))) : null,
            $report->missed / max(1, $report->planned) > $gate->missedShare
                ? sprintf('%d of %d strokes missed; %d %% passes', $report->missed, $report->planned, (int) round(100 * $gate->missedShare))
                : null,
        ]));
    }

    private function practiceTempo(): int
    {
        return (int) round($this->cleanTempo ?? self::SLOW_SHARE * $this->ruler->tempo->bpm);
    }

    /** "12 ms early", "on time". */
    private static function early(float $ms): string
    {
        $rounded = (int) round(abs($ms));

        return $rounded === 0 ? 'on time' : sprintf('%d ms %s', $rounded, $ms < 0 ? 'early' : 'late');
    }
}
