<?php

declare(strict_types=1);

use Gravik\Breakdown\MelodyOverForm;
use Gravik\Neck\Melody\HarmonisedNote;
use Gravik\Tests\Support\Examples;

it('harmonises each note over its chord; the tonic stands in over silence and beyond the end', function (
    string $melody,
    int $bar,
    array $chords,
): void {
    $breakdown = Examples::breakdown(['key' => 'E minor', 'sections' => [['name' => 'A', 'line' => '| Em Am | N.C. | B7 |']]]);
    $line = (new MelodyOverForm())->harmonise($breakdown, $melody, $bar);

    expect(array_map(static fn (HarmonisedNote $note): string => $note->chord->text(), $line))->toBe($chords);
})->with([
    'two chords share the notes of their bar' => ['E4 G4 A4 C5', 0, ['Em', 'Em', 'Am', 'Am']],
    'a silent bar' => ['B4', 1, ['Em']],
    'from the last bar on' => ['B4 D♯5 | G4', 2, ['B7', 'B7', 'Em']],
]);
