<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\GenreProfile;
use Gravik\Chart\Section;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Soundings;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Simulation\Loudness;
use Gravik\Simulation\RenderedBand;

/** @return list<float> */
function tone997(float $seconds, float $peak, int $rate = 48000): array
{
    return array_map(static fn (int $i): float => $peak * sin(2 * M_PI * 997 * $i / $rate), range(0, (int) ($seconds * $rate) - 1));
}

it('measures a tone as the standard has it, and leaves silence out', function (): void {
    $loudness = new Loudness(48000);

    expect($loudness->of(tone997(2, 1.0)))->toEqualWithDelta(-3.01, 0.02)
        ->and($loudness->of(tone997(2, 0.5)))->toEqualWithDelta(-9.03, 0.02)
        ->and($loudness->of([...tone997(4, 0.5), ...array_fill(0, 4 * 48000, 0.0)]))->toEqualWithDelta(-9.03, 0.4)
        ->and((new Loudness(22050))->of(tone997(2, 0.5, 22050)))->toEqualWithDelta(-9.03, 0.1)
        ->and($loudness->of(array_fill(0, 48000, 0.0)))->toBeNull();
});

it('hears a balanced band in every genre word, and weighs it as it sounds', function (GenreProfile $profile): void {
    $rate = 22050;
    $song = $profile->over(Beginning::blank())->with(sections: [new Section('s1', 'A', '| Dm7 | G7 | Cmaj7 | A7 |')]);
    $timeline = (new Performer())->perform($song);
    $measured = [];
    foreach ($song->parts as $part) {
        $own = array_values(array_filter($timeline->events, static fn (Event $event): bool => $event->part->id === $part->id));
        $alone = $timeline->withStrokes($timeline->strokes, $own, $timeline->seconds);
        $blocks = iterator_to_array((new RenderedBand($rate))->blocks($alone), false);
        $measured[$part->id] = (new Loudness($rate))->of(array_merge(...$blocks));
    }
    $weighed = [];
    foreach (Soundings::of(new Heard($song, $timeline))->parts as $sounding) {
        $weighed[$sounding->part->id] = -$sounding->belowDb;
    }
    foreach ($song->parts as $part) {
        if ($measured[$part->id] === null || $part->instrument === Instrument::Guitar) {
            continue;
        }
        $over = $measured[$part->id] - $measured['guitar'];
        [$least, $most] = match (true) {
            ($profile->roles[$part->id] ?? Role::Active) === Role::Passive => [-8.0, -4.0],
            $part->instrument === Instrument::Horns => [-4.0, 0.0],
            default => [-3.0, 1.5],
        };

        expect($over)->toBeGreaterThan($least, "{$profile->slug}: {$part->id}")->toBeLessThan($most, "{$profile->slug}: {$part->id}")
            ->and($weighed[$part->id] - $weighed['guitar'])->toEqualWithDelta($over, 4.5);
    }
    expect($measured['guitar'])->not->toBeNull();
})->with(static fn (): array => array_map(
    static fn (GenreProfile $profile): array => [$profile],
    array_column(GenreProfile::all(), null, 'slug'),
));
