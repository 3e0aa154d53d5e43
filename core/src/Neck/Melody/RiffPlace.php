<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

/** A figure in one register: on the I, and where it goes for IV and V. */
final readonly class RiffPlace
{
    /**
     * @param string         $where words for the register: 'as typed', 'one string lower' …
     * @param non-empty-list<RiffNote> $one
     * @param string         $way   how the IV is reached: 'one string higher' or 'five frets up' …; the V lies two frets above it
     * @param list<RiffNote> $four
     * @param list<RiffNote> $five
     * @param float          $travelMm of the hand, I to IV to V and back
     */
    public function __construct(
        public string $where,
        public array $one,
        public string $way,
        public array $four,
        public array $five,
        public float $travelMm,
    ) {}

    /** The lowest fret that the hand presses on the I; 0 where it presses none. */
    public function position(): int
    {
        $pressed = array_filter(
            array_map(static fn (RiffNote $note): int => $note->fret, $this->one),
            static fn (int $fret): bool => $fret > 0,
        );

        return $pressed === [] ? 0 : min($pressed);
    }
}
