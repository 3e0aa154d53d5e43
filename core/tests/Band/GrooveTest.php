<?php

declare(strict_types=1);

use Gravik\Band\BandException;
use Gravik\Band\Drum;
use Gravik\Band\Groove;
use Gravik\Band\PartName;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

it('knows each drum by its standard note', function (string $name, int $note): void {
    expect(Drum::named($name)->value)->toBe($note);
})->with([['kick', 36], ['rim', 37], ['snare', 38], ['hat', 42], ['ride', 51], ['shaker', 70]]);

it('refuses a drum that is none, instead of sounding another', function (): void {
    Drum::named('snaer');
})->throws(BandException::class, '"snaer" is no drum of the set');

it('has grooves that fill their bars with known signs and drums', function (): void {
    foreach (Groove::library() as $groove) {
        $slots = $groove->grid * $groove->meter->beats();
        foreach ($groove->drums as $drum => $signs) {
            expect([$groove->slug, $drum, strlen($signs)])->toBe([$groove->slug, $drum, $slots])->and($signs)->toMatch('/^[.gxX]+$/')->and(Drum::named($drum)->value)->toBeInt();
        }
        expect([$groove->slug, strlen($groove->bass)])->toBe([$groove->slug, $slots])->and($groove->bass)->toMatch('/^R[R358>.-]*$/');
    }
});

/** @return list<int> pitches of the bass over one chord a bar */
function bassOver(string $line, string $groove): array
{
    $timeline = (new Performer())->perform(Examples::breakdown(['key' => 'C major', 'sections' => [['name' => 'A', 'line' => $line]], 'band' => ['groove' => $groove, 'parts' => []]]));

    return array_map(static fn (Event $event): int => (int) $event->pitch, array_values(array_filter($timeline->events, static fn (Event $event): bool => $event->part === PartName::Bass)));
}

it('keeps the roots of the bass between the low E and the E flat above it, and leads into the next from below', function (string $chord, int $root): void {
    $walk = bassOver("| {$chord} | F |", 'four-walk');

    // Root, third, fifth, then a half step under the F, which is 29.
    expect($walk[0])->toBe($root)->and($walk[3])->toBe(28)->and($walk[4])->toBe(29)
        ->and($walk[1] - $root)->toBe(4)->and($walk[2] - $root)->toBe(7);
})->with([['E', 28], ['E♭', 39], ['C', 36], ['G', 31], ['B', 35], ['C/D', 38]]);
