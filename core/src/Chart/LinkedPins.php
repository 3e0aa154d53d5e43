<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Grip\Frets;

/**
 * Grips that the same kind of chord close by follows: mark the IV once, and the V lies two frets up for as long as it is
 * linked. A chord farther away, such as the I, is not dragged along the neck.
 */
final readonly class LinkedPins
{
    private const FARTHEST = 2;

    /** @param list<array{Pin, ChordSymbol}> $links */
    private function __construct(private array $links) {}

    /** @param list<Pin> $pins */
    public static function of(Form $form, array $pins): self
    {
        $links = [];
        foreach ($pins as $pin) {
            foreach ($form->chords as $chord) {
                if ($pin->linked && $pin->belongsTo($chord)) {
                    $links[] = [$pin, $chord->chord];
                }
            }
        }

        return new self($links);
    }

    /** @return list<int|null>|null the frets that this chord takes from the first grip it follows; null where it follows none */
    public function fretsFor(ChordSymbol $chord): ?array
    {
        foreach ($this->links as [$pin, $marked]) {
            $up = ($chord->rootPitchClass() - $marked->rootPitchClass() + 12) % 12;
            $by = $up > 6 ? $up - 12 : $up;
            if ($chord->ending === $marked->ending && ($chord->bass === null) === ($marked->bass === null) && abs($by) <= self::FARTHEST) {
                $frets = $by === 0 ? $pin->frets : Frets::slid($pin->frets, $by);
                if ($frets !== null) {
                    return $frets;
                }
            }
        }

        return null;
    }
}
