<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\NicknameTooLong;
use Gravik\Neck\Failure\GripNotReadable;
use Gravik\Neck\Grip\Frets;

/** A grip the teacher chose for one chord of the song. It holds while that place still has that chord. */
final readonly class Pin
{
    private const LONGEST_NICKNAME = 40;

    /**
     * @param string         $symbol the chord it was chosen for
     * @param list<int|null> $frets  low to high, counted from the capo
     * @param string         $nickname what the teacher calls it, at most 40 characters
     * @param bool           $linked whether the same kind of chord close by follows it along the neck
     */
    public function __construct(
        public Place $at,
        public string $symbol,
        public array $frets,
        public bool $linked = false,
        public string $nickname = '',
    ) {
        if (mb_strlen($nickname) > self::LONGEST_NICKNAME) {
            throw new NicknameTooLong($nickname, self::LONGEST_NICKNAME);
        }
        if (count($frets) < 4 || count($frets) > 8) {
            throw new GripNotReadable(Frets::text($frets), 6);
        }
        foreach ($frets as $fret) {
            if ($fret !== null && ($fret < 0 || $fret > 24)) {
                throw new GripNotReadable((string) $fret, count($frets));
            }
        }
    }

    /** @param ?list<int|null> $frets */
    public function with(?Place $at = null, ?string $symbol = null, ?array $frets = null): self
    {
        return new self($at ?? $this->at, $symbol ?? $this->symbol, $frets ?? $this->frets, $this->linked, $this->nickname);
    }

    public function belongsTo(FormChord $chord): bool
    {
        return $this->at->equals($chord->at) && $this->symbol === $chord->chord->text();
    }

    /**
     * Moved with its chord to another key, the shorter way along the neck; null where it uses open strings or leaves
     * frets 1 to 15.
     *
     * @param int $semitones upwards, 0–11
     */
    public function movedBy(int $semitones, string $symbol): ?self
    {
        $moved = $semitones === 0 ? $this->frets : Frets::raised($this->frets, $semitones);

        return $moved === null ? null : $this->with(symbol: $symbol, frets: $moved);
    }

    /** The same strings some frets up or down; null where that leaves frets 0 to 15. */
    public function shifted(int $frets): ?self
    {
        $moved = array_map(static fn (?int $fret): ?int => $fret === null ? null : $fret + $frets, $this->frets);
        $fretted = array_filter($moved, static fn (?int $fret): bool => $fret !== null);

        return $fretted !== [] && min($fretted) >= 0 && max($fretted) <= 15 ? $this->with(frets: $moved) : null;
    }
}
