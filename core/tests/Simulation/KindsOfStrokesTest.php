<?php

declare(strict_types=1);

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Simulation\RenderedBand;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Examples;

const KINDS_RATE = 22050;

/** @return list<float> one note of the guitar as it sounds, from its start */
function strokeSound(string $kind, int $pitch, int $tick): array
{
    $guitar = new BandPart('guitar', Instrument::Guitar);
    [$what, $velocity, $dur, $glide] = match ($kind) {
        'palm mute' => [EventKind::PalmMute, 0.7, 0.3, []],
        'chuck' => [EventKind::Chuck, 0.7, 0.1, []],
        'ghost' => [EventKind::Ghost, 0.25, 0.12, []],
        'slide' => [EventKind::Ring, 0.7, 0.3, [[0.0, -2.0], [0.12, 0.0]]],
        default => [EventKind::Ring, 0.7, 0.3, []],
    };
    $event = new Event(
        $guitar,
        0.0,
        $dur,
        $kind === 'chuck' ? null : $pitch,
        $velocity,
        $what,
        max(1, 6 - intdiv($pitch - 40, 5)),
        0,
        $kind === 'up' ? Direction::Up : Direction::Down,
        $glide,
        $tick,
    );
    static $timeline = null;
    $timeline ??= (new Performer())->perform(Examples::breakdown());

    return iterator_to_array((new RenderedBand(KINDS_RATE))->blocks($timeline->withStrokes([], [$event], 0.5)), false)[0];
}

/**
 * @param list<float> $sound
 *
 * @return list<float> level, how long it lasts, how bright it begins, how far its pitch is from where it was, how much it has one
 */
function strokeFeatures(array $sound, int $pitch): array
{
    $part = static fn (float $from, float $to): array => array_slice(
        $sound,
        (int) ($from * KINDS_RATE),
        (int) (($to - $from) * KINDS_RATE),
    );
    $energy = static fn (array $samples): float => array_sum(
        array_map(static fn (float $each): float => $each ** 2, $samples),
    ) / count($samples);
    $repeats = static function (array $samples, float $lag): float {
        [$a, $b] = [array_slice($samples, 0, -(int) ceil($lag) - 1), array_slice($samples, (int) round($lag))];
        $like = $own = 1e-12;
        foreach ($a as $i => $each) {
            $like += $each * $b[$i];
            $own += $each ** 2;
        }

        return $like / $own;
    };
    $period = KINDS_RATE / (440 * 2 ** (($pitch - 69) / 12));
    $early = $part(0.02, 0.09);
    $steps = $energy(
        array_map(static fn (float $a, float $b): float => $b - $a, array_slice($part(0, 0.03), 0, -1), array_slice($part(0, 0.03), 1)),
    );

    return [
        log10($energy($part(0, 0.06)) + 1e-9),
        log10(($energy($part(0.15, 0.25)) + 1e-9) / ($energy($part(0, 0.06)) + 1e-9)),
        log10($steps / ($energy($part(0, 0.03)) + 1e-9)),
        $repeats($early, $period * 2 ** (1.5 / 12)) - $repeats($early, $period),
        max($repeats($early, $period), $repeats($early, $period * 2 ** (1.5 / 12))),
    ];
}

it('has strokes of every kind that are told apart at 95 % by what was heard of other notes', function (): void {
    $kinds = ['down', 'up', 'palm mute', 'chuck', 'ghost', 'slide'];
    $heard = ['known' => [], 'asked' => []];
    foreach (range(40, 67) as $pitch) {
        foreach ($kinds as $kind) {
            $features = strokeFeatures(strokeSound($kind, $pitch, 240 * $pitch), $pitch);
            $heard[$pitch % 2 === 0 ? 'known' : 'asked'][] = [$kind, [...$features, $pitch / 12]];
        }
    }
    $spread = array_map(static function (int $place) use ($heard): float {
        $values = array_map(static fn (array $each): float => $each[1][$place], $heard['known']);
        $mean = array_sum($values) / count($values);

        return sqrt(array_sum(array_map(static fn (float $each): float => ($each - $mean) ** 2, $values)) / count($values));
    }, range(0, 5));
    $right = 0;
    foreach ($heard['asked'] as [$kind, $features]) {
        $nearest = [INF, ''];
        foreach ($heard['known'] as [$other, $like]) {
            $apart = array_sum(array_map(
                static fn (float $a, float $b, float $by): float => (($a - $b) / $by) ** 2,
                $features,
                $like,
                $spread,
            ));
            $nearest = min($nearest, [$apart, $other]);
        }
        $right += $nearest[1] === $kind ? 1 : 0;
    }

    expect($right / count($heard['asked']))->toBeGreaterThanOrEqual(0.95);
});
