<?php

declare(strict_types=1);

namespace Gravik\Band;

enum Instrument: string
{
    case Drums = 'drums';
    case Bass = 'bass';
    case Guitar = 'guitar';
    case SecondGuitar = 'second-guitar';
    case Keys = 'keys';
    case Horns = 'horns';
    case Lead = 'lead';

    public function words(): string
    {
        return match ($this) {
            self::SecondGuitar => 'second guitar',
            self::Drums, self::Bass, self::Guitar, self::Keys, self::Horns, self::Lead => $this->value,
        };
    }

    /** As it stands where there is little room. */
    public function label(): string
    {
        return match ($this) {
            self::SecondGuitar => 'guitar 2',
            self::Drums, self::Bass, self::Guitar, self::Keys, self::Horns, self::Lead => $this->value,
        };
    }

    /** Whether what it plays may be told by a groove. */
    public function playsAGroove(): bool
    {
        return match ($this) {
            self::Drums, self::Bass => true,
            self::Guitar, self::SecondGuitar, self::Keys, self::Horns, self::Lead => false,
        };
    }

    /** Whether it plays chords, so that two of them can be in one another's way. */
    public function isChordal(): bool
    {
        return match ($this) {
            self::Guitar, self::SecondGuitar, self::Keys => true,
            self::Drums, self::Bass, self::Horns, self::Lead => false,
        };
    }

    /** Whether it plays several notes at once. */
    public function playsChords(): bool
    {
        return $this->isChordal() || $this === self::Horns;
    }

    /** Whether its notes are grips on a neck: where they lie is asked of its line of grips, and it has no register. */
    public function isGuitar(): bool
    {
        return $this === self::Guitar || $this === self::SecondGuitar;
    }

    /** The notes it is at home in where nothing else is said; null for one whose notes are its own business. */
    public function usualRegister(): ?Register
    {
        return match ($this) {
            self::Keys => new Register(52, 76),
            self::Horns => new Register(55, 79),
            self::Lead => new Register(60, 84),
            self::Bass => new Register(28, 50),
            self::Drums, self::Guitar, self::SecondGuitar => null,
        };
    }

    /** @return list<Way> ways it can play, the usual one first; none where there is no choice */
    public function ways(): array
    {
        return match ($this) {
            self::Drums => [Way::Plain, Way::Fills],
            self::Bass => [Way::Plain, Way::RootFifth, Way::TwoFeel, Way::Walking, Way::Octaves, Way::Boogie, Way::Ostinato],
            self::Keys, self::SecondGuitar => [Way::Shells, Way::Spread, Way::Upbeats, Way::Pads],
            self::Horns => [Way::Stabs, Way::StabsInTwo, Way::Pads],
            self::Lead => [Way::Sung, Way::Plucked, Way::Blown, Way::Bowed],
            self::Guitar => [],
        };
    }
}
