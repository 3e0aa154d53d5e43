<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Frets;
use Gravik\Neck\NeckException;

/** A grip the teacher chose for one chord of the form. It holds while that place still has that chord. */
final readonly class Pin
{
    /**
     * @param string         $symbol the chord it was chosen for
     * @param list<int|null> $frets  low to high, counted from the capo
     * @param bool           $linked whether the same kind of chord close by follows it along the neck
     */
    public function __construct(public int $section, public int $bar, public int $at, public string $symbol, public array $frets, public bool $linked = false)
    {
        if (count($frets) < 4 || count($frets) > 8) {
            throw NeckException::grip(Frets::text($frets), 6);
        }
        foreach ($frets as $fret) {
            if ($fret !== null && ($fret < 0 || $fret > 24)) {
                throw NeckException::grip((string) $fret, count($frets));
            }
        }
    }

    /** The same grip in the same bar of a section that is another by number. */
    public function inSection(int $section): self
    {
        return new self($section, $this->bar, $this->at, $this->symbol, $this->frets, $this->linked);
    }

    public function belongsTo(FormChord $chord): bool
    {
        return $this->section === $chord->section && $this->bar === $chord->bar && $this->at === $chord->at && $this->symbol === $chord->chord->text();
    }

    /**
     * Moved with its chord to another key, the shorter way along the neck; null where it uses open strings or leaves
     * frets 1 to 15.
     *
     * @param int $semitones upwards, 0–11
     */
    public function movedBy(int $semitones, string $symbol): ?self
    {
        if ($semitones === 0) {
            return new self($this->section, $this->bar, $this->at, $symbol, $this->frets, $this->linked);
        }
        $moved = Frets::raised($this->frets, $semitones);

        return $moved === null ? null : new self($this->section, $this->bar, $this->at, $symbol, $moved, $this->linked);
    }

    /** The same strings some frets up or down; null where that leaves frets 0 to 15. */
    public function shifted(int $frets): ?self
    {
        $moved = array_map(static fn (?int $fret): ?int => $fret === null ? null : $fret + $frets, $this->frets);
        $fretted = array_filter($moved, static fn (?int $fret): bool => $fret !== null);

        return $fretted !== [] && min($fretted) >= 0 && max($fretted) <= 15 ? new self($this->section, $this->bar, $this->at, $this->symbol, $moved, $this->linked) : null;
    }
}
