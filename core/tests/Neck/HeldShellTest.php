<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Melody\HeldShell;
use Gravik\Neck\Melody\LineWay;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/**
 * @param list<?int> $frets   low to high
 * @param list<?int> $fingers
 */
function shellHeld(array $frets, array $fingers, HandProfile $hand = new HandProfile()): HeldShell
{
    $neck = new Neck(Tuning::standard());

    return new HeldShell($neck, new Voicing(ChordSymbol::parse('G7'), $frets, $fingers, [], $frets, 0.0, 3, [], []), $hand);
}

it('tells how a note of a line is had while the shell is held', function (int $string, int $fret, LineWay $way, array $fingers): void {
    // R ♭7 3 of G7: second finger on string 6, third and fourth on strings 4 and 3 would be crowded: 2, 3, 4.
    $shell = shellHeld([3, null, 3, 4, null, null], [1, null, 2, 3, null, null]);
    $note = new RiffNote($string, $fret, 60);

    expect($shell->free())->toBe([4])
        ->and($shell->way($note))->toBe($way)
        ->and($shell->fingersFor($note))->toBe($fingers);
})->with([
    'the shell sounds it' => [3, 4, LineWay::InTheGrip, []],
    'an open string beside it' => [1, 0, LineWay::OpenString, []],
    'an open string under it' => [3, 0, LineWay::ByLettingGo, []],
    'the little finger, a fret above' => [2, 5, LineWay::FreeFinger, [4]],
    'the little finger, at the fret of the third' => [2, 4, LineWay::FreeFinger, [4]],
    'the little finger, behind none on its string' => [3, 5, LineWay::FreeFinger, [4]],
    'below the little finger\'s neighbours' => [2, 3, LineWay::ByLettingGo, []],
    'out of reach' => [1, 8, LineWay::ByLettingGo, []],
    'behind a finger on its string' => [3, 2, LineWay::ByLettingGo, []],
]);

it('knows a smaller hand and fingers that are not used', function (string $hand, array $free, LineWay $way): void {
    $shell = shellHeld([3, null, 3, null, null, null], [1, null, 2, null, null, null], HandProfile::parse($hand));

    expect($shell->free())->toBe($free)->and($shell->way(new RiffNote(2, 6, 65)))->toBe($way);
})->with([
    ['large', [3, 4], LineWay::FreeFinger],
    ['small', [3, 4], LineWay::ByLettingGo],
    ['large,avoid-4', [3], LineWay::FreeFinger],
]);
