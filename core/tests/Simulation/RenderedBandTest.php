<?php

declare(strict_types=1);

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Formats\PatternJson;
use Gravik\Formats\WavFile;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\StrokeFaults;
use Gravik\Performance\Timeline;
use Gravik\Simulation\RenderedBand;
use Gravik\Simulation\StringSound;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Tests\Support\Examples;

const TEST_RATE = 22050;

/** @return list<float> the guitar alone */
function renderedGuitar(Timeline $timeline): array
{
    return array_merge([], ...iterator_to_array((new RenderedBand(TEST_RATE))->blocks($timeline, [Instrument::Guitar]), false));
}

function playedEntry(LibraryPattern $entry): Timeline
{
    $tempo = (int) (($entry->tempo[0] + $entry->tempo[1]) / 2);
    $bars = $entry->pattern->bars();
    $breakdown = Examples::breakdown([
        'meter' => $entry->pattern->meter->text(), 'tempo' => $tempo, 'key' => 'E minor', 'school' => $entry->school->value,
        'feel' => ['mode' => 'fixed', 'ratio' => $entry->feel->ratio, 'unit' => $entry->feel->unit->value],
        'sections' => [['name' => 'A', 'line' => '| Em '.str_repeat('| % ', $bars - 1).'|']],
        'pins' => array_map(
            static fn (int $bar): array => ['section' => 0, 'bar' => $bar, 'at' => 0, 'symbol' => 'Em', 'frets' => [0, 2, 2, 0, 0, 0]],
            range(0, $bars - 1),
        ),
        'pattern' => (new PatternJson())->write($entry->pattern),
    ], str_repeat('x', 2 * $entry->pattern->meter->beats()));

    return (new Performer())->perform($breakdown);
}

/**
 * Where a pick meets the strings: the quick part of the sound jumps up. Nothing of the timeline is looked at.
 *
 * @param list<float> $samples
 *
 * @return list<float> seconds
 */
function pickedAt(array $samples): array
{
    $hop = (int) (0.002 * TEST_RATE);
    $energy = [];
    for ($start = 2; $start + $hop < count($samples); $start += $hop) {
        $sum = 1e-9;
        for ($i = $start; $i < $start + $hop; $i++) {
            $sum += ($samples[$i] - 2 * $samples[$i - 1] + $samples[$i - 2]) ** 2;
        }
        $energy[] = $sum;
    }
    $onsets = [];
    $last = -1.0;
    foreach ($energy as $place => $now) {
        // Longer than a period of the lowest string, whose own swing is no stroke.
        $before = max(array_slice($energy, max(0, $place - 7), min(7, $place)) ?: [1e-9]);
        $t = (2 + $place * $hop) / TEST_RATE;
        if ($now > 3 * $before && $now > 1e-5 && $t - $last > 0.05) {
            $onsets[] = $t;
            $last = $t;
        }
    }

    return $onsets;
}

it('sounds every library pattern at the planned times', function (LibraryPattern $entry): void {
    $timeline = playedEntry($entry);
    $planned = array_values(array_unique(array_map(
        static fn (PlayedStroke $stroke): string => number_format($stroke->t, 4),
        $timeline->strokes,
    )));
    $heard = pickedAt(renderedGuitar($timeline));
    $near = static fn (float $t): bool => array_filter($heard, static fn (float $onset): bool => abs($onset - $t) < 0.012) !== [];
    $met = count(array_filter($planned, static fn (string $t): bool => $near((float) $t)));

    expect($met / count($planned))->toBeGreaterThanOrEqual(
        0.9,
        $entry->slug.': '.implode(' ', $planned).' heard '.implode(
            ' ',
            array_map(static fn (float $t): string => number_format($t, 3), $heard),
        ),
    );
})->with(static fn (): array => array_combine(
    array_map(static fn (LibraryPattern $entry): string => $entry->slug, PatternLibrary::all()),
    array_map(static fn (LibraryPattern $entry): array => [$entry], PatternLibrary::all()),
));

/** Cents by which a partial lies above its multiple of the pitch: where a windowed sine fits best. */
function partialCents(int $pitch, int $partial): int
{
    $samples = array_slice((new StringSound(44100))->of($pitch, 'ring', false, 0.5), 2000, 16000);
    $count = count($samples);
    $best = [0.0, 0];
    foreach (range(-20, 20) as $cents) {
        $turn = 2 * M_PI * $partial * 440 * 2 ** (($pitch - 69) / 12 + $cents / 1200) / 44100;
        $real = $imaginary = 0.0;
        foreach ($samples as $i => $sample) {
            $windowed = $sample * (0.5 - 0.5 * cos(2 * M_PI * $i / $count));
            $real += $windowed * cos($turn * $i);
            $imaginary += $windowed * sin($turn * $i);
        }
        $best = max($best, [$real ** 2 + $imaginary ** 2, $cents]);
    }

    return $best[1];
}

it('plucks strings in tune, with partials that are stretched the more the lower the string', function (
    int $pitch,
    int $least,
    int $most,
): void {
    expect(abs(partialCents($pitch, 1)))->toBeLessThanOrEqual(1)
        ->and(partialCents($pitch, 10))->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with(['E2' => [40, 2, 5], 'D3' => [50, 1, 3], 'E4' => [64, 0, 2]]);

it('tells ring, palm-mute, dead and up strokes apart by length and brightness', function (): void {
    $string = new StringSound(TEST_RATE);
    $loudness = static fn (array $samples, float $from, float $to): float => sqrt(array_sum(array_map(
        static fn (float $value): float => $value ** 2,
        array_slice($samples, (int) ($from * TEST_RATE), (int) (($to - $from) * TEST_RATE)),
    )) / max(
        1,
        (int) (($to - $from) * TEST_RATE),
    ));
    $brightness = static function (array $samples): float {
        $quick = $all = 1e-9;
        for ($i = 1; $i < 0.03 * TEST_RATE; $i++) {
            $quick += ($samples[$i] - $samples[$i - 1]) ** 2;
            $all += $samples[$i] ** 2;
        }

        return $quick / $all;
    };
    [$ring, $muted, $dead, $up] = [
        $string->of(52, 'ring', false),
        $string->of(52, 'palm-mute', false),
        $string->chuck(52, false),
        $string->of(52, 'ring', true),
    ];

    expect($loudness($ring, 0.4, 0.45))->toBeGreaterThan(5 * $loudness($muted, 0.4, 0.45))
        ->and(count($dead))->toBeLessThan(0.1 * TEST_RATE)
        ->and($brightness($up))->toBeGreaterThan(1.5 * $brightness($ring))
        ->and($brightness($muted))->toBeLessThan($brightness($ring));
});

it('slides, hammers and bends to the pitch that is drawn', function (string $kind, int $frets, float $early, float $late): void {
    $breakdown = Examples::breakdown(['tempo' => 60, 'pattern' => [
        'ticks' => 3840,
        'streams' => [[
            'name' => 'strum',
            'strokes' => [['at' => 0, 'division' => 1, 'strings' => [3], 'ornament' => ['kind' => $kind, 'frets' => $frets]]],
        ]],
    ],
        'sections' => [['name' => 'A', 'line' => '| Dm |']], 'pins' => [[
            'section' => 0,
            'bar' => 0,
            'at' => 0,
            'symbol' => 'Dm',
            'frets' => [null, 5, 7, 7, 6, 5],
        ]]]);
    $event = array_values(array_filter(
        (new Performer())->perform($breakdown)->events,
        static fn (Event $event): bool => $event->part->instrument === Instrument::Guitar,
    ))[0];
    $at = static function (float $t) use ($event): float {
        $points = $event->glide;
        foreach ($points as $place => [$from, $semitones]) {
            $next = $points[$place + 1] ?? null;
            if ($next === null || $t < $next[0]) {
                return $next === null || $t <= $from
                    ? $semitones
                    : $semitones + ($next[1] - $semitones) * ($t - $from) / ($next[0] - $from);
            }
        }

        return 0.0;
    };

    expect($at(0.001))->toEqualWithDelta($early, 0.05)->and($at(0.3 * $event->dur))->toEqualWithDelta($late, 0.5);
})->with([
    'slide in' => ['slide-in', -2, -2.0, 0.0],
    'hammer on' => ['hammer-on', -2, -2.0, 0.0],
    'pull off' => ['pull-off', 2, 2.0, 0.0],
    'grace' => ['grace', -1, -1.0, 0.0],
    'bend and let down' => ['bend-release', 2, 0.0, 1.7],
    'bend and hold' => ['bend', 2, 0.0, 2.0],
    'strike while bent' => ['bent', 1, 1.0, 1.0],
    'release' => ['release', 2, 2.0, 0.0],
]);

it('writes a WAV file that says what it holds', function (): void {
    $file = WavFile::write([[0.0, 0.5], [-1.0, 2.0]], 4, 8000);
    /** @var array{rate: int, bits: int, bytes: int} $head */
    $head = unpack('Vrate', substr($file, 24, 4)) + unpack('vbits', substr($file, 34, 2)) + unpack('Vbytes', substr($file, 40, 4));

    expect(substr($file, 0, 4).substr($file, 8, 4))->toBe('RIFFWAVE')->and($head)->toBe(['rate' => 8000, 'bits' => 16, 'bytes' => 8])
        ->and(array_values((array) unpack('v*', substr($file, 44))))->toBe([0, 16384, 65536 - 32767, 32767])->and(strlen($file))->toBe(52);
});

it('says which stroke asks for strings that a grip mutes, or slides below the nut', function (): void {
    $breakdown = static fn (array $stroke): Breakdown => Examples::breakdown(['sections' => [[
        'name' => 'A',
        'line' => '| Am |',
    ]], 'pins' => [[
        'section' => 0,
        'bar' => 0,
        'at' => 0,
        'symbol' => 'Am',
        'frets' => [null, 0, 2, 2, 1, 0],
    ]],
        'pattern' => ['ticks' => 3840, 'streams' => [['name' => 'strum', 'strokes' => [$stroke + ['at' => 480, 'division' => 2]]]]]]);
    $faults = static function (Breakdown $breakdown): array {
        $timeline = (new Performer())->perform($breakdown);

        return array_map(
            static fn ($warning): string => $warning->kind->value.': '.$warning->text,
            (new StrokeFaults())->of($timeline->voiced['l1'], $timeline->hands()[0]->plan),
        );
    };

    expect($faults($breakdown(['strings' => [6]]))[0])->toStartWith('silent-strings: The stroke on the “&” of beat 1')
        ->and($faults($breakdown([
            'strings' => [2],
            'ornament' => ['kind' => 'slide-in', 'frets' => -2],
        ]))[0])->toStartWith('below-the-nut:')
        ->and($faults($breakdown(['strings' => [4], 'ornament' => ['kind' => 'slide-in', 'frets' => -2]])))->toBe([]);
});

/**
 * How much of a sound is quick: its steps against its size.
 *
 * @param list<float> $samples
 */
function brightnessOf(array $samples): float
{
    $steps = $size = 0.0;
    foreach (array_slice($samples, 1) as $i => $sample) {
        $steps += ($sample - $samples[$i]) ** 2;
        $size += $sample ** 2;
    }

    return sqrt($steps / max(1e-12, $size));
}

/** @return list<float> one event alone, from its start */
function renderedEvent(Instrument $instrument, EventKind $kind, int $pitch, float $velocity, int $tick): array
{
    $part = new BandPart('p', $instrument, groove: $instrument === Instrument::Drums ? Groove::named('shuffle') : null);
    $timeline = (new Performer())->perform(Examples::breakdown());
    $event = new Event($part, 0.0, 0.3, $pitch, $velocity, $kind, 3, 5, tick: $tick);

    return iterator_to_array((new RenderedBand(TEST_RATE))->blocks($timeline->withStrokes([], [$event], 0.4)), false)[0];
}

it('strikes a string never twice alike, and comes round after three', function (): void {
    $brightness = array_map(
        static fn (int $beat): float => brightnessOf(renderedEvent(Instrument::Guitar, EventKind::Ring, 57, 0.7, 960 * $beat)),
        range(0, 3),
    );

    expect(count(array_unique(array_map(static fn (float $each): string => (string) round($each, 3), $brightness))))->toBe(3)
        ->and($brightness[3])->toBe($brightness[0]);
});

it('has drums that are darker the softer they are struck', function (): void {
    $snare = static fn (float $velocity): float => brightnessOf(renderedEvent(Instrument::Drums, EventKind::Drum, 38, $velocity, 0));

    expect($snare(0.2))->toBeLessThan(0.95 * $snare(0.6))->and($snare(0.6))->toBeLessThan(0.95 * $snare(1.0));
});
