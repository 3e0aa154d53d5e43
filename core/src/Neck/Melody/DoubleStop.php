<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

/** Two notes on two strings, as they sit on the chord of the moment. */
final readonly class DoubleStop
{
    /**
     * @param array{int, int}                                $strings  numbers, the lower-sounding first
     * @param array{int, int}                                $frets    in the same order
     * @param array{int, int}                                $midi
     * @param 'third'|'fourth'|'sixth'                       $interval
     * @param list<array{string: int, from: int, to: int}>   $hammers  grace hammer-ons onto one of its chord tones
     */
    public function __construct(
        public array $strings,
        public array $frets,
        public array $midi,
        public string $interval,
        public DoubleStopKind $kind,
        public array $hammers,
    ) {}
}
