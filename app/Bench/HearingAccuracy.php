<?php

declare(strict_types=1);

namespace App\Bench;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Formats\WavSource;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Time\Feel;
use Gravik\Time\Tempo;

/** How well takes of the simulated player are heard, against what it played. Other sounds are held against their truth in the tests. */
final readonly class HearingAccuracy
{
    private const NEAR_SECONDS = 0.025;

    private const RATE = 22050;

    private const BARS = 8;

    /** pattern, beats a minute, swing, bias and spread in ms */
    private const TAKES = [
        ['x.xcx.xx', 108, 2.0, 12, 8],
        ['xxxxxxxx', 96, 1.0, -15, 10],
        ['x.xx.xxx', 126, 1.5, 20, 12],
        ['xcxcxcxc', 120, 2.0, 0, 6],
        ['x.xxx.xx', 84, 1.7, -8, 9],
    ];

    public function __construct(private Breakdown $breakdown) {}

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    public function rows(): array
    {
        $sums = ['hit' => 0, 'heard' => 0, 'played' => 0, 'dead' => 0, 'told' => 0, 'right' => 0, 'ringing' => 0];
        $off = ['onset' => [], 'tempo' => [], 'swing' => [], 'bias' => [], 'spread' => []];
        foreach (self::TAKES as $number => [$slots, $bpm, $swing, $bias, $spread]) {
            $start = $this->breakdown->start->with(feel: Feel::fixed($swing), tempo: new Tempo($bpm));
            $breakdown = Desk::of($this->breakdown->with(start: $start))->with(SlotLine::parse($slots, $start->meter, 2));
            $timeline = (new Performer())->perform($breakdown);
            $player = new SimulatedPlayer($bias, 0, $spread, 0.02, $number + 1);
            $take = new SimulatedTake($timeline, $player->play($timeline, self::BARS));
            $heard = $this->heard($take);
            $this->compare($take->truth()['strokes'], $heard, $sums, $off['onset']);
            $strokes = array_map(static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(), $heard);
            $reading = (new FeelMeter())->measure($strokes, $start->meter);
            $reporter = new LockReporter();
            $reported = $reporter->report(Take::of($strokes, SimulatedTake::LEAD), $timeline, $start->feel->unit, 0.0);
            $true = $reporter->report(Take::read($player->taps($timeline, self::BARS)), $timeline, $start->feel->unit, 0.0);
            $off['tempo'][] = 100 * abs($reading->tempoBpm / $bpm - 1);
            $off['swing'][] = abs(($reported->swing->played ?? 0) - ($true->swing->played ?? 0));
            $off['bias'][] = abs($reported->biasMs - $true->biasMs);
            $off['spread'][] = abs($reported->spreadMs - $true->spreadMs);
        }
        $median = static function (array $values): float {
            sort($values);

            return $values[intdiv(count($values), 2)];
        };

        return [
            self::row('strokes heard, F at ±25 ms', 2 * $sums['hit'] / ($sums['heard'] + $sums['played']), null, '', 'at least 0.975'),
            self::row('strokes heard, error', $median($off['onset']), max([0.0, ...$off['onset']]), 'ms', 'at most 3 ms'),
            self::row('ringing or dead, right', 100 * $sums['dead'] / $sums['hit'], null, '%', 'at least 95 %'),
            self::row('direction, right of those told', 100 * $sums['right'] / max(1, $sums['told']), null, '%', 'at least 85 %'),
            self::row('direction, not told', 100 - 100 * $sums['told'] / max(1, $sums['ringing']), null, '%', 'at most 25 %'),
            self::row('tempo without a plan, off', $median($off['tempo']), max($off['tempo']), '%', 'within 1 %'),
            self::row(
                'swing against the truth, off',
                array_sum($off['swing']) / count($off['swing']),
                max($off['swing']),
                '',
                'within 0.04',
            ),
            self::row('bias against the truth, off', array_sum($off['bias']) / count($off['bias']), max($off['bias']), 'ms', 'within 2 ms'),
            self::row(
                'spread against the truth, off',
                array_sum($off['spread']) / count($off['spread']),
                max($off['spread']),
                'ms',
                'within 1.5 ms',
            ),
        ];
    }

    /** @return list<HeardStroke> */
    private function heard(SimulatedTake $take): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gravik-bench-');
        file_put_contents($path, $take->wav(self::RATE));
        try {
            return (new StrokeListener())->hear(WavSource::open($path));
        } finally {
            unlink($path);
        }
    }

    /**
     * @param list<array{t: float, direction: string, muted: bool}>                                                          $played
     * @param list<HeardStroke>                                                                                               $heard
     * @param array{hit: int, heard: int, played: int, dead: int, told: int, right: int, ringing: int}                       $sums
     * @param list<float>                                                                                                     $errors ms
     */
    private function compare(array $played, array $heard, array &$sums, array &$errors): void
    {
        $sums['heard'] += count($heard);
        $sums['played'] += count($played);
        foreach ($played as $stroke) {
            foreach ($heard as $number => $found) {
                $off = abs($found->t - SimulatedTake::LEAD - $stroke['t']);
                if ($off <= self::NEAR_SECONDS) {
                    unset($heard[$number]);
                    $errors[] = 1000 * $off;
                    $sums['hit']++;
                    $sums['dead'] += $found->muted === $stroke['muted'] ? 1 : 0;
                    $sums['ringing'] += $stroke['muted'] ? 0 : 1;
                    $sums['told'] += ! $stroke['muted'] && $found->direction !== null ? 1 : 0;
                    $sums['right'] += ! $stroke['muted'] && $found->direction?->value === $stroke['direction'] ? 1 : 0;
                    break;
                }
            }
        }
    }

    /** @return array{what: string, median: float, worst: ?float, unit: string, asked: string} */
    private static function row(string $what, float $median, ?float $worst, string $unit, string $asked): array
    {
        return [
            'what' => $what,
            'median' => round($median, 3),
            'worst' => $worst === null ? null : round($worst, 3),
            'unit' => $unit,
            'asked' => $asked,
        ];
    }
}
