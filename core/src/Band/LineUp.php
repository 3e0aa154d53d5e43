<?php

declare(strict_types=1);

namespace Gravik\Band;

/** Who plays along. */
final readonly class LineUp
{
    /** @param list<Player> $players */
    private function __construct(public array $players) {}

    /** @param list<BandPart> $parts of the band; guitars play strokes, which are no player's */
    public static function of(array $parts): self
    {
        return new self(array_values(array_filter(array_map(static fn (BandPart $part): ?Player => match ($part->instrument) {
            Instrument::Drums => new Drummer($part),
            Instrument::Bass => $part->way() === Way::Walking ? new WalkingBassist($part) : new Bassist($part),
            Instrument::Keys => new Comper($part),
            Instrument::Horns => new HornSection($part),
            Instrument::Lead => new Soloist($part),
            Instrument::Guitar, Instrument::SecondGuitar => null,
        }, $parts))));
    }
}
