<?php

declare(strict_types=1);

namespace Gravik\Time;

use Gravik\Time\Failure\MeterUnknown;

/** How a bar is counted. In 6/8, 9/8 and 12/8 the beat is the dotted quarter, elsewhere the lower figure. */
final readonly class Meter
{
    public const KNOWN = ['2/4', '3/4', '4/4', '5/4', '6/8', '7/8', '9/8', '12/8'];

    private function __construct(public int $pulses, public int $pulseValue) {}

    public static function parse(string $typed): self
    {
        $typed = trim($typed);
        if (! in_array($typed, self::KNOWN, true)) {
            throw new MeterUnknown($typed);
        }
        [$pulses, $value] = array_map(intval(...), explode('/', $typed));

        return new self($pulses, $value);
    }

    public function equals(self $other): bool
    {
        return $this->pulses === $other->pulses && $this->pulseValue === $other->pulseValue;
    }

    public function text(): string
    {
        return $this->pulses.'/'.$this->pulseValue;
    }

    public function isCompound(): bool
    {
        return $this->pulseValue === 8 && $this->pulses % 3 === 0;
    }

    public function beats(): int
    {
        return $this->isCompound() ? intdiv($this->pulses, 3) : $this->pulses;
    }

    public function beatTicks(): int
    {
        return intdiv($this->barTicks(), $this->beats());
    }

    /** The one place a bar gets its length. */
    public function barTicks(): int
    {
        return $this->pulses * intdiv(Ticks::PER_WHOLE_NOTE, $this->pulseValue);
    }

    /** Quarter notes in a beat, as MIDI counts tempo: 1.5 in 6/8. */
    public function quartersPerBeat(): float
    {
        return $this->beatTicks() / Ticks::PER_QUARTER;
    }

    /**
     * Metrical weight of a place in the bar: the bar line 0, each division below it one less (after Longuet-Higgins and
     * Lee). A 4/4 bar divides into halves, quarters, eighths, sixteenths.
     *
     * @param int $ticks from the bar line
     */
    public function weightAt(int $ticks): int
    {
        $ticks = ($ticks % $this->barTicks() + $this->barTicks()) % $this->barTicks();
        $weight = 0;
        $length = $this->barTicks();
        foreach ($this->divisions() as $into) {
            if ($ticks % $length === 0) {
                return $weight;
            }
            $length = intdiv($length, $into);
            $weight--;
        }
        while ($length > 1 && $ticks % $length !== 0) {
            $length = intdiv($length, 2);
            $weight--;
        }

        return $weight;
    }

    /** @return list<int> how the bar divides, from the whole bar down to the beat and, in compound meters, its thirds */
    private function divisions(): array
    {
        return match ($this->beats()) {
            2 => $this->isCompound() ? [2, 3] : [2],
            3 => $this->isCompound() ? [3, 3] : [3],
            4 => $this->isCompound() ? [2, 2, 3] : [2, 2],
            default => [$this->beats()],
        };
    }
}
