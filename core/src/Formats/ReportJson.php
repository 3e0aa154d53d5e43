<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Listening\Hit;
use Gravik\Listening\Interval;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\SlotFigures;
use Gravik\Time\Swing;

/** A lock report as it is kept with its take and sent to the screen. */
final readonly class ReportJson
{
    /**
     * A report as it was kept, with the shares of the beat that its ratios stand for.
     *
     * @param array<string, mixed> $kept as write() gave it
     *
     * @return array<string, mixed>
     */
    public static function shown(array $kept): array
    {
        // A whole ratio comes back from where it was kept as an integer.
        $ratios = is_array($kept['swing'] ?? null) ? array_filter($kept['swing'], is_numeric(...)) : [];
        $shares = array_map(static fn (int|float|string $ratio): float => round(Swing::share((float) $ratio), 4), $ratios);

        return [...$kept, 'swing_shares' => $shares === [] ? null : $shares];
    }

    /** @return array<string, mixed> */
    public static function write(LockReport $report): array
    {
        $swing = $report->swing;
        $gate = $report->gate;

        return [
            'planned' => $report->planned,
            'played' => $report->played,
            'matched' => $report->matched,
            'missed' => $report->missed,
            'extra' => $report->extra,
            'anchored' => $report->anchored,
            'latency_ms' => $report->latencyMs,
            'bias_ms' => self::ms($report->biasMs),
            'bias_within' => self::interval($report->bias),
            'spread_ms' => self::ms($report->spreadMs),
            'spread_within' => self::interval($report->spread),
            'drift_ms' => self::ms($report->driftMs),
            'drift_bpm_per_min' => $report->driftBpmPerMin === null ? null : round($report->driftBpmPerMin, 3),
            'drift_within' => self::interval($report->drift),
            'swing' => $swing === null ? null : array_map(static fn (float $ratio): float => round($ratio, 4), [
                'planned' => $swing->planned, 'played' => $swing->played, 'low' => $swing->low, 'high' => $swing->high,
            ]),
            'directions' => ['told' => $report->directionsTold, 'wrong' => $report->directionsWrong],
            'slots' => array_map(self::slot(...), $report->slots),
            'hits' => array_map(
                static fn (Hit $hit): array => ['slot' => $hit->slot, 'bar' => $hit->bar, 'ms' => round($hit->ms, 2)],
                $report->hits,
            ),
            'bars' => array_map(
                static fn (int $bar, float $ms): array => ['bar' => $bar, 'ms' => round($ms, 2)],
                array_keys($report->barsMs()),
                $report->barsMs(),
            ),
            'findings' => array_map(self::finding(...), $report->findings),
            'gate' => [
                'passed' => $report->failed === [],
                'why' => $report->failed === []
                    ? 'bias, spread, swing and missed strokes are all within the gate'
                    : implode('; ', $report->failed),
                'bias_ms' => $gate->biasMs,
                'spread_ms' => $gate->spreadMs,
                'swing_points' => $gate->swingPoints,
                'missed_share' => $gate->missedShare,
            ],
        ];
    }

    /**
     * Taps tell nothing of level, length or muting; there these are null.
     *
     * @return array<string, mixed>
     */
    private static function slot(SlotFigures $slot): array
    {
        return [
            'slot' => $slot->slot,
            'name' => $slot->name,
            'n' => $slot->n,
            'bias_ms' => self::ms($slot->biasMs),
            'bias_within' => self::interval($slot->bias),
            'spread_ms' => self::ms($slot->spreadMs),
            'level_db' => $slot->levelDb === null ? null : round($slot->levelDb, 1),
            'length_share' => $slot->lengthShare === null ? null : round($slot->lengthShare, 2),
            'muted_ok' => $slot->mutedOk === null ? null : round($slot->mutedOk, 3),
            'missed' => $slot->missed,
            'extra' => $slot->extra,
        ];
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding): array
    {
        return [
            'kind' => $finding->kind->value,
            'slots' => $finding->slots,
            'text' => $finding->text,
            'practise' => $finding->stage === null ? null : ['stage' => $finding->stage->value, 'tempo' => $finding->tempo],
        ];
    }

    /** @return ?list<float> low and high */
    private static function interval(?Interval $interval): ?array
    {
        return $interval === null ? null : [round($interval->low, 2), round($interval->high, 2)];
    }

    private static function ms(?float $ms): ?float
    {
        return $ms === null ? null : round($ms, 2);
    }
}
