<?php

declare(strict_types=1);

use Gravik\Formats\TakeFile;
use Gravik\Listening\Hit;
use Gravik\Listening\Lock\Internal\FaintStrokes;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Matcher;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\Material\MaterialTake;
use Gravik\Simulation\Material\Place;
use Gravik\Simulation\Material\Way;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\SwingUnit;

/** Half beats at 120, with one played elsewhere or not at all. */
function halves(int $count): array
{
    return array_map(static fn (int $place): float => 0.25 * $place, range(0, $count - 1));
}

it('lets what is sure say where the player was, and fills what is left with what hardly stood out', function (): void {
    $planned = halves(12);
    // Everybody 20 ms late, number 5 faint, and a faint nothing beside number 7.
    $played = array_map(static fn (float $t): float => $t + 0.02, $planned);
    $plain = array_fill(0, 12, 2.0);
    $plain[5] = -0.4;
    $played[] = 7 * 0.25 + 0.09;
    $plain[] = -0.4;
    array_multisort($played, $plain);
    $matching = (new FaintStrokes(new Matcher()))->match($planned, $played, $plain, 0.25, 0.5);

    expect($matching->pairs)->toHaveCount(12)->and($matching->missed)->toBe([])->and($matching->extra)->toBe([])
        ->and($played[$matching->pairs[5]])->toEqualWithDelta(1.27, 1e-9)->and($played[$matching->pairs[7]])->toEqualWithDelta(1.77, 1e-9);
});

it('leaves a stroke missed where nothing was heard close by, and counts what met nothing only where it is as plain as the rest', function (): void {
    $planned = halves(12);
    $played = array_values(array_filter($planned, static fn (float $t): bool => $t !== 1.0));
    $plain = array_fill(0, 11, 2.0);
    // Beside a stroke as plain as the others one that is sure, but less plain than any that was met: a click that bleeds in.
    foreach ([[1.07, -0.4], [1.62, 0.3], [2.12, 2.0]] as [$t, $farther]) {
        $played[] = $t;
        $plain[] = $farther;
    }
    array_multisort($played, $plain);
    $matching = (new FaintStrokes(new Matcher()))->match($planned, $played, $plain, 0.25, 0.5);

    expect($matching->missed)->toBe([4])->and(array_map(static fn (int $place): float => $played[$place], $matching->extra))->toBe([2.12]);
});

it('loses few light strokes under a ringing chord once the plan is known', function (Way $way, Place $place): void {
    $song = Examples::breakdown(['tempo' => 104], 'XxxxXxxx');
    $timeline = (new Performer())->perform($song);
    $strokes = (new SimulatedPlayer(0, 0, 6, 0, 3))->play($timeline, 6);
    $path = (string) tempnam(sys_get_temp_dir(), 'gravik-light-');
    file_put_contents($path, (new MaterialTake($way, $place, 5, 10.0))->wav($strokes, 60 / 104));
    $file = TakeFile::read($path, 'take.wav');
    unlink($path);
    $report = (new LockReporter())->report(Take::of($file->strokes, SimulatedTake::LEAD), $timeline, SwingUnit::Eighth, 0.0, bars: 6);

    expect($report->matched)->toBeGreaterThanOrEqual(44)->and($report->missed)->toBeLessThanOrEqual(6)->and($report->extra)->toBeLessThanOrEqual(1)
        ->and(abs((float) $report->biasMs))->toBeLessThan(6.0)
        // More of them are heard where they were planned than are sure by themselves.
        ->and(count($file->sure()))->toBeLessThanOrEqual(count($file->strokes))
        ->and(array_filter($file->strokes, static fn (PlayedOnset $stroke): bool => $stroke->t < 0))->toBe([]);
})->with([
    'a physical string, dry' => [Way::Physical, Place::Dry],
    'partials, in a room' => [Way::Additive, Place::Room],
    'FM, by phone' => [Way::Fm, Place::Phone],
    'driven, with hum' => [Way::Driven, Place::Hum],
]);

it('tells chucks from strokes that ring, light ones too, whatever lies under both', function (Way $way, Place $place, string $slots): void {
    $song = Examples::breakdown(['tempo' => 112], $slots);
    $timeline = (new Performer())->perform($song);
    $strokes = (new SimulatedPlayer(0, 0, 6, 0, 7))->play($timeline, 4);
    $path = (string) tempnam(sys_get_temp_dir(), 'gravik-hum-');
    file_put_contents($path, (new MaterialTake($way, $place, 5, 6.0))->wav($strokes, 60 / 112));
    $file = TakeFile::read($path, 'take.wav');
    unlink($path);
    $report = (new LockReporter())->report(Take::of($file->strokes, SimulatedTake::LEAD), $timeline, SwingUnit::Eighth, 0.0, bars: 4);
    $wrong = array_filter($report->hits, static fn (Hit $hit): bool => $hit->mutedRight === false);

    expect(count($report->hits))->toBeGreaterThanOrEqual(4 * strlen(str_replace('.', '', $slots)) - 2)
        ->and(count($wrong))->toBeLessThanOrEqual(1);
})->with([
    'strings, with hum' => [Way::Physical, Place::Hum, 'XcxcXcxc'],
    'driven, with hum' => [Way::Driven, Place::Hum, 'XcxcXcxc'],
    'grains, with hum' => [Way::Granular, Place::Hum, 'XcxcXcxc'],
    'strings, light, in a room' => [Way::Physical, Place::Room, 'XxcxXxcx'],
    'driven, light, with hum' => [Way::Driven, Place::Hum, 'Xx.xXx.x'],
]);

it('hears where a stroke is let go, though hum, a room or a drive sounds on', function (Way $way, Place $place): void {
    $timeline = (new Performer())->perform(Examples::breakdown(['tempo' => 100], 'X.x.X.x.'));
    $strokes = array_map(
        static fn (PlayedStroke $stroke): PlayedStroke => $stroke->ending(
            array_map(static fn (float $end): float => $stroke->t + 0.4 * ($end - $stroke->t), $stroke->ends),
        ),
        (new SimulatedPlayer(0, 0, 6, 0, 7))->play($timeline, 4),
    );
    $path = (string) tempnam(sys_get_temp_dir(), 'gravik-cut-');
    file_put_contents($path, (new MaterialTake($way, $place, 5, 6.0))->wav($strokes, 60 / 100));
    $heard = TakeFile::read($path, 'take.wav')->strokes;
    unlink($path);
    $late = [];
    foreach ($strokes as $stroke) {
        foreach ($heard as $one) {
            if (abs($one->t - $stroke->t - SimulatedTake::LEAD) < 0.025) {
                $late[] = $one->seconds - (max($stroke->ends) - $stroke->t);
            }
        }
    }
    sort($late);

    // Played for 0.24 s of 0.6; a room and the hand's own letting go add some.
    expect(count($late))->toBeGreaterThanOrEqual(15)->and($late[0])->toBeGreaterThan(-0.05)
        ->and($late[intdiv(count($late), 2)])->toBeLessThan(0.09)->and($late[count($late) - 1])->toBeLessThan(0.2);
})->with([
    'strings, with hum' => [Way::Physical, Place::Hum],
    'driven, dry' => [Way::Driven, Place::Dry],
    'driven, in a room' => [Way::Driven, Place::Room],
    'grains, in a room' => [Way::Granular, Place::Room],
    'FM, by phone' => [Way::Fm, Place::Phone],
]);
