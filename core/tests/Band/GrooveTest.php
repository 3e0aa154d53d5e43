<?php

declare(strict_types=1);

use Gravik\Band\BandException;
use Gravik\Band\Drum;
use Gravik\Band\Groove;
use Gravik\Time\Meter;

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
            expect([$groove->slug, $drum, strlen($signs)])->toBe([$groove->slug, $drum, $slots])
                ->and($signs)->toMatch('/^[.gxX]+$/')
                ->and(Drum::named($drum)->value)->toBeInt();
        }
        expect([$groove->slug, strlen($groove->bass)])->toBe([$groove->slug, $slots])->and($groove->bass)->toMatch('/^R[R358>.-]*$/');
    }
});

it('has a groove for every meter', function (string $meter): void {
    expect(Groove::defaultFor(Meter::parse($meter))->meter->text())->toBe($meter);
})->with(Meter::KNOWN);
