<?php

declare(strict_types=1);

namespace App\Bench;

use Gravik\Formats\WavSource;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\ListeningException;

/** How well recordings are heard, held against files that say what was played: onsets, what was lost, dead strokes, directions. */
final readonly class HearingReport
{
    private const NEAR_SECONDS = 0.025;

    public function __construct(private StrokeListener $listener = new StrokeListener()) {}

    /**
     * @param array{first_beat: float, strokes: list<array{t: float, direction: string, muted: bool}>} $truth
     *
     * @return array{played: int, heard: int, hit: int, errors: list<float>, dead: int, told: int, right: int, ringing: int} errors
     *                                                                                                in ms, + late
     */
    public function of(string $wav, array $truth): array
    {
        try {
            $heard = $this->listener->hear(WavSource::open($wav));
        } catch (ListeningException) {
            $heard = [];
        }
        $sums = [
            'played' => count($truth['strokes']),
            'heard' => count($heard),
            'hit' => 0,
            'errors' => [],
            'dead' => 0,
            'told' => 0,
            'right' => 0,
            'ringing' => 0,
        ];
        foreach ($truth['strokes'] as $stroke) {
            $found = self::near($heard, $truth['first_beat'] + $stroke['t']);
            if ($found === null) {
                continue;
            }
            $sums['hit']++;
            $sums['errors'][] = 1000 * ($heard[$found]->t - $truth['first_beat'] - $stroke['t']);
            $sums['dead'] += $heard[$found]->muted === $stroke['muted'] ? 1 : 0;
            $direction = $heard[$found]->direction;
            $sums['ringing'] += $stroke['muted'] ? 0 : 1;
            $sums['told'] += $direction !== null && ! $stroke['muted'] ? 1 : 0;
            $sums['right'] += ! $stroke['muted'] && $direction?->value === $stroke['direction'] ? 1 : 0;
            unset($heard[$found]);
        }

        return $sums;
    }

    /**
     * @param list<array{played: int, heard: int, hit: int, errors: list<float>, dead: int, told: int, right: int, ringing: int}> $all
     *
     * @return array{f: float, precision: float, recall: float, error_ms: float, bias_ms: float, dead: float, direction: float, untold: float}
     */
    public static function sum(array $all): array
    {
        $of = static fn (string $what): int => array_sum(array_column($all, $what));
        $errors = array_merge([], ...array_column($all, 'errors'));
        $sizes = array_map(abs(...), $errors);
        sort($errors);
        sort($sizes);
        $hit = max(1, $of('hit'));

        return [
            'f' => 2 * $of('hit') / max(1, $of('heard') + $of('played')),
            'precision' => $of('hit') / max(1, $of('heard')),
            'recall' => $of('hit') / max(1, $of('played')),
            'error_ms' => $sizes[intdiv(count($sizes), 2)] ?? 0.0,
            'bias_ms' => $errors[intdiv(count($errors), 2)] ?? 0.0,
            'dead' => $of('dead') / $hit,
            'direction' => $of('right') / max(1, $of('told')),
            'untold' => 1 - $of('told') / max(1, $of('ringing')),
        ];
    }

    /** @param array<int, HeardStroke> $heard */
    private static function near(array $heard, float $t): ?int
    {
        $best = null;
        $least = self::NEAR_SECONDS;
        foreach ($heard as $number => $stroke) {
            $off = abs($stroke->t - $t);
            if ($off <= $least) {
                [$best, $least] = [$number, $off];
            }
        }

        return $best;
    }
}
