<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Breakdown\Stage;
use Gravik\Listening\Hit;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\FindingKind;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Statistics;

/**
 * What a take shows of the hands: which way they went, what they damped, and how long they let it ring.
 *
 * @internal used by Findings
 */
final readonly class HandFindings
{
    private const WRONG_DIRECTIONS = 0.1;

    /** A direction that is heard is wrong about so often; a slot is accused only if that hardly explains it. */
    private const MISHEARD = 0.25;

    /** So are dead strokes and ringing ones taken for each other. */
    private const MISHEARD_MUTING = 0.1;

    private const CHANCE = 0.01;

    /** A stroke rings on, or breaks off, from these shares of its length on; a room alone adds less than so many seconds. */
    private const RINGS_ON = 1.5;

    private const ROOM = 0.16;

    private const BREAKS_OFF = 0.5;

    /** A string that lacks more than so many seconds of its length may just have died away. */
    private const DIES_AWAY = 0.45;

    private const FEWEST = 3;

    public function __construct(private int $practiceTempo) {}

    /** @return list<?Finding> */
    public function of(LockReport $report): array
    {
        $names = array_column($report->slots, 'name', 'slot');
        $bySlot = [];
        foreach ($report->hits as $hit) {
            $bySlot[$hit->slot][] = $hit;
        }
        ksort($bySlot);
        $byEar = array_filter($report->hits, static fn (Hit $hit): bool => $hit->directionRight !== null && $hit->levelDb !== null) !== [];

        return [
            $byEar ? $this->directionsHeard($bySlot, $names) : $this->directions($report),
            $this->muting($report, $names),
            $this->lengths($bySlot, $names, true),
            $this->lengths($bySlot, $names, false),
        ];
    }

    private function directions(LockReport $report): ?Finding
    {
        if ($report->directionsTold === 0) {
            return null;
        }

        return new Finding(FindingKind::Direction, [], sprintf(
            '%d of %d strokes went the other way than planned.',
            $report->directionsWrong,
            $report->directionsTold,
        ),
            $report->directionsWrong / $report->directionsTold / self::WRONG_DIRECTIONS, $report->directionsWrong, Stage::DampedRhythm, $this->practiceTempo);
    }

    /**
     * @param array<int, non-empty-list<Hit>> $bySlot
     * @param array<int, string>              $names
     */
    private function directionsHeard(array $bySlot, array $names): ?Finding
    {
        $slots = [];
        $wrong = $told = 0;
        $chance = self::CHANCE / max(1, count($bySlot));
        foreach ($bySlot as $slot => $hits) {
            $heard = array_filter($hits, static fn (Hit $hit): bool => $hit->directionRight !== null);
            $others = count(array_filter($heard, static fn (Hit $hit): bool => $hit->directionRight === false));
            if (Statistics::atLeast($others, count($heard), self::MISHEARD) < $chance) {
                $slots[] = $slot;
                $wrong += $others;
                $told += count($heard);
            }
        }
        if ($slots === []) {
            return null;
        }

        return new Finding(FindingKind::Direction, $slots, sprintf(
            'The %s %s the other way than planned: %d of the %d strokes there whose direction can be heard.',
            self::listed($slots, $names),
            count($slots) === 1 ? 'goes' : 'go',
            $wrong,
            $told,
        ),
            self::beyond($wrong / $told, self::MISHEARD), $wrong, Stage::DampedRhythm, $this->practiceTempo);
    }

    /**
     * Strokes that ring where they should be dead, or the other way round; only a recording tells.
     *
     * @param array<int, string> $names
     */
    private function muting(LockReport $report, array $names): ?Finding
    {
        $known = array_filter($report->hits, static fn (Hit $hit): bool => $hit->mutedRight !== null);
        $wrong = array_filter($known, static fn (Hit $hit): bool => $hit->mutedRight === false);
        if ($wrong === [] || Statistics::atLeast(count($wrong), count($known), self::MISHEARD_MUTING) >= self::CHANCE) {
            return null;
        }
        $counts = array_count_values(array_map(static fn (Hit $hit): int => $hit->slot, $wrong));
        arsort($counts);
        $worst = array_key_first($counts);

        return new Finding(FindingKind::Muting, array_keys($counts), sprintf(
            '%d of %d strokes rang where they should be dead, or were dead where they should ring, most often the %s.',
            count($wrong),
            count($known),
            $names[$worst] ?? '',
        ),
            self::beyond(count($wrong) / count($known), self::MISHEARD_MUTING), count($wrong), Stage::DampedRhythm, $this->practiceTempo);
    }

    /**
     * Strokes that ring on where the hand should have let go, or that break off where it should have held; only a recording
     * tells.
     *
     * @param array<int, non-empty-list<Hit>> $bySlot
     * @param array<int, string>              $names
     */
    private function lengths(array $bySlot, array $names, bool $tooLong): ?Finding
    {
        $shares = [];
        $strokes = 0;
        foreach ($bySlot as $slot => $hits) {
            $known = array_filter($hits, static fn (Hit $hit): bool => $hit->lengthShare !== null && $hit->over !== null);
            if (count($known) < self::FEWEST) {
                continue;
            }
            $share = Statistics::median(array_values(array_map(static fn (Hit $hit): float => (float) $hit->lengthShare, $known)));
            $over = Statistics::median(array_values(array_map(static fn (Hit $hit): float => (float) $hit->over, $known)));
            if ($tooLong ? $share >= self::RINGS_ON && $over >= self::ROOM : $share <= self::BREAKS_OFF && $over >= -self::DIES_AWAY) {
                $shares[$slot] = $share;
                $strokes += count($known);
            }
        }
        if ($shares === []) {
            return null;
        }
        $slots = array_keys($shares);
        $worst = $tooLong ? max($shares) : min($shares);
        $text = $tooLong
            ? sprintf(
                'The %s %s on: up to %.1f times as long as planned. Let go with the fretting hand and keep the fingers on the strings.',
                self::listed($slots, $names),
                count($slots) === 1 ? 'rings' : 'ring',
                $worst,
            )
            : sprintf(
                'The %s %s off after %d %% of the length planned. Hold the grip until the hand moves on.',
                self::listed($slots, $names),
                count($slots) === 1 ? 'breaks' : 'break',
                (int) round(100 * $worst),
            );

        return new Finding(
            FindingKind::Length,
            $slots,
            $text,
            $tooLong ? $worst / self::RINGS_ON : self::BREAKS_OFF / max(0.01, $worst),
            $strokes,
            Stage::Releases,
            $this->practiceTempo,
        );
    }

    /** How severe a share is of which so much may be misheard: 1 where mishearing hardly explains it, 3 where all are wrong. */
    private static function beyond(float $share, float $misheard): float
    {
        return 1 + 2 * ($share - $misheard) / (1 - $misheard);
    }

    /**
     * @param non-empty-list<int> $slots
     * @param array<int, string>  $names
     */
    private static function listed(array $slots, array $names): string
    {
        $words = array_map(static fn (int $slot): string => $names[$slot] ?? '', $slots);
        $last = array_pop($words);

        return $words === [] ? $last : implode(', ', $words).' and '.$last;
    }
}
