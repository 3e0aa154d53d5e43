<?php

declare(strict_types=1);

use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Band\PartBar;
use Gravik\Band\Register;
use Gravik\Band\Role;
use Gravik\Band\WalkingBassist;
use Gravik\Band\WalkingLine;
use Gravik\Band\Way;
use Gravik\Harmony\ChordSymbol;

/**
 * "Dm7 . . . G7 .": a dot stays on the chord before.
 *
 * @return list<array{ChordSymbol, bool}>
 */
function walkedBeats(string $typed): array
{
    $beats = [];
    $chord = null;
    foreach (explode(' ', $typed) as $word) {
        $chord = $word === '.' ? $chord : ChordSymbol::parse($word);
        $beats[] = [$chord ?? ChordSymbol::parse('C'), $word !== '.'];
    }

    return $beats;
}

it('is the cheapest of all walks through a few beats', function (string $typed, int $low, int $high): void {
    $line = new WalkingLine(new Register($low, $high));
    $beats = walkedBeats($typed);
    $least = INF;
    $walk = static function (array $so) use (&$walk, &$least, $line, $beats, $low, $high): void {
        if (count($so) === count($beats)) {
            $least = min($least, $line->cost($beats, $so));

            return;
        }
        foreach (range($low, $high) as $pitch) {
            $next = [...$so, $pitch];
            if ($line->cost(array_slice($beats, 0, count($next) + 1), $next) < INF) {
                $walk($next);
            }
        }
    };
    $walk([]);

    expect($line->cost($beats, $line->through($beats)))->toEqualWithDelta($least, 1e-9);
})->with([
    ['Dm7 . . . G7', 31, 43], ['C . F .', 28, 45], ['A♭6 B°7 E♭9 .', 30, 46], ['C/E . . A7', 29, 41],
]);

it('begins each chord on its bass, leads into the next by step, and never stands still', function (string $typed): void {
    $beats = walkedBeats($typed);
    $line = (new WalkingLine(new Register(28, 51)))->through($beats);
    foreach ($beats as $place => [$chord, $begins]) {
        $bass = ($chord->bass ?? $chord->root)->pitchClass();
        expect($line[$place])->toBeGreaterThanOrEqual(28)->toBeLessThanOrEqual(51);
        if ($begins) {
            expect($line[$place] % 12)->toBe($bass);
        }
        if ($place > 0) {
            expect($line[$place])->not->toBe($line[$place - 1]);
        }
        if ($begins && $place > 1 && ! $beats[$place - 1][1]) {
            expect(
                min(($line[$place] - $line[$place - 1] + 120) % 12, ($line[$place - 1] - $line[$place] + 120) % 12),
            )->toBeLessThanOrEqual(2);
        }
    }
})->with(['C7 . . . F9 . . . C7 . . . . . . . G7 . . . F9 . . . C7 . A7 . Dm7 . G7 .', 'E♭7 E♭9 A♭6 . D°7 . G7 . Cm7 . . .']);

it('walks where chords sound and it is not out, a note a beat', function (): void {
    $groove = Groove::named('four-walk');
    $course = courseOf('| C | N.C. | F G7 | C |', $groove);
    $part = new BandPart('bass', Instrument::Bass, groove: $groove, way: Way::Walking);
    $bars = [...throughout($course, $groove)];
    $bars[3] = new PartBar(Role::Out, $groove);
    $notes = (new WalkingBassist($part))->play($course, $bars);

    expect(array_map(static fn (BandNote $note): int => intdiv($note->tick, 960), $notes))->toBe([0, 1, 2, 3, 8, 9, 10, 11]);
});

it('keeps an octave at least, between notes that are notes', function (int $low, int $high): void {
    expect(static fn () => new Register($low, $high))->toThrow(Gravik\Band\Failure\RegisterOutOfRange::class);
})->with([[40, 51], [20, 40], [100, 109]]);
