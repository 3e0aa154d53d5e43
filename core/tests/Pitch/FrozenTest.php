<?php

declare(strict_types=1);

use Gravik\Pitch\NoteName;
use Gravik\Pitch\Pitch;
use Gravik\Tests\Support\Frozen;

it('spells and counts notes as it did', function (): void {
    $figures = [];
    foreach (['C', 'D♭', 'd#', 'F##', 'Ebb', 'B♯', 'Cb', 'H', '', 'C###'] as $typed) {
        $figures["name {$typed}"] = static function () use ($typed): array {
            $name = NoteName::parse($typed);

            return [$name, $name->pitchClass(), $name->semitonesAboveC(), $name->letter, $name->alter];
        };
    }
    foreach (['C4', 'A♯3', 'B♯3', 'C♭4', 'E-1', 'G9', 'G♯9', 'C', '4', 'F𝄪2'] as $typed) {
        $figures["pitch {$typed}"] = static fn (): array => [Pitch::parse($typed), Pitch::parse($typed)->midi()];
    }
    foreach (range(0, 11) as $class) {
        $figures["plain {$class}"] = static fn (): array => [NoteName::plain($class, true), NoteName::plain($class, false)];
        foreach (range(0, 6) as $letter) {
            $figures["letter {$letter} {$class}"] = static fn (): NoteName => NoteName::withLetter($letter, $class);
        }
    }
    foreach ([0, 11, 12, 59, 60, 61, 127] as $midi) {
        foreach (['C', 'B♯', 'C♭', 'B', 'D♭'] as $name) {
            $figures["midi {$midi} {$name}"] = static fn (): string => Pitch::ofMidi($midi, NoteName::parse($name))->text();
        }
    }
    Frozen::hold('pitch', $figures);
});

it('builds at the edges what it did', function (): void {
    $figures = [];
    foreach (range(-1, 7) as $letter) {
        foreach (range(-3, 3) as $alter) {
            $figures["of {$letter} {$alter}"] = static function () use ($letter, $alter): array {
                $name = NoteName::of($letter, $alter);

                return [
                    $name->text(),
                    $name->pitchClass(),
                    $name->semitonesAboveC(),
                    $name->equals(NoteName::of($letter, $alter)),
                    $name->equals(NoteName::of(0, 0)),
                ];
            };
        }
    }
    Frozen::hold('pitch-edges', $figures);
});
