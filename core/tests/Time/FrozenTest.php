<?php

declare(strict_types=1);

use Gravik\Tests\Support\Frozen;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\FeelWords;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Swing;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;
use Gravik\Time\TimeMap;

it('reads feels, places ticks and words swing as it did', function (): void {
    $figures = [];
    $feels = ['straight', 'light', 'triplet', 'dotted', '51 %', '51.2 %', '51.4 %', '1.02', '1.16', '62 %', '70%', '3:2', '1.15', '1,4',
        '0.7', '0.69', '3', '3.01', '100 %', '99 %', '50 %',
        'follows', '2:0', 'swing'];
    foreach ($feels as $typed) {
        foreach (SwingUnit::cases() as $unit) {
            foreach ([20.0, 60.0, 92.0, 138.0, 181.0, 240.0, 400.0] as $bpm) {
                $figures["feel {$typed} {$unit->value} {$bpm}"] = static function () use ($typed, $unit, $bpm): array {
                    [$feel, $tempo] = [Feel::parse($typed, $unit), new Tempo($bpm)];

                    return [$feel->mode, $feel->ratioAt($tempo), $feel->offBeatMs($tempo), $feel->tooShortMs($tempo), $feel->swings($tempo),
                        FeelWords::of($feel, $tempo)];
                };
            }
        }
    }
    foreach ([0.5, 0.6, 2 / 3, 0.75] as $share) {
        $figures["share {$share}"] = static fn (): array => [Swing::ratio($share), Swing::share(Swing::ratio($share))];
    }
    foreach ([19.9, 20.0, 400.0, 400.1] as $bpm) {
        $figures["tempo {$bpm}"] = static fn (): float => (new Tempo($bpm))->beatSeconds();
    }
    foreach ([...Meter::KNOWN, '1/4', '4/3', '13/8', 'x'] as $text) {
        $figures["meter {$text}"] = static function () use ($text): array {
            $meter = Meter::parse($text);
            $weights = array_map($meter->weightAt(...), range(0, $meter->barTicks() - 1, 80));

            return [$meter->beats(), $meter->beatTicks(), $meter->barTicks(), $meter->quartersPerBeat(), $meter->isCompound(), $weights];
        };
    }
    foreach (['4/4', '6/8', '5/4'] as $text) {
        foreach ([[1.0, 'eighth'], [2.0, 'eighth'], [1.4, 'sixteenth'], [0.8, 'eighth']] as [$ratio, $unit]) {
            $ruler = new Ruler(Meter::parse($text), new Tempo(111), new Feel(FeelMode::Fixed, $ratio, SwingUnit::from($unit)));
            $map = TimeMap::of(
                [['bars' => 2, 'ruler' => $ruler], ['bars' => 1, 'ruler' => $ruler->straight()], ['bars' => 1, 'ruler' => $ruler]],
            );
            foreach ([1, 2, 3, 4, 6] as $division) {
                $figures["ruler {$text} {$ratio} {$unit} {$division}"] = static fn (): array => array_map(
                    static fn (int $tick): float => $ruler->secondsAt($tick, $division),
                    range(-480, 8000, 160),
                );
            }
            $figures["map {$text} {$ratio} {$unit}"] = static fn (): array => [
                $map->seconds(), $map->bars(), $map->ticks, array_map($map->barAt(...), range(-1000, 17000, 960)),
                array_map($map->tickOfBar(...), range(0, 5)), array_map($map->ticksAt(...), [-0.5, 0.0, 1.0, 2.7, 4.4, 9.0]),
            ];
        }
    }
    Frozen::hold('time', $figures);
});
