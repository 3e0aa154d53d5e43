<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

/**
 * A length that can be written as one note: its name, its dots, and three in the time of two where it is a triplet's.
 *
 * @internal used by MusicXmlFile
 */
final readonly class NoteValue
{
    private const WHOLE = 3840;

    private const NAMES = ['whole' => 1, 'half' => 2, 'quarter' => 4, 'eighth' => 8, '16th' => 16, '32nd' => 32, '64th' => 64];

    /** @param int $ticks 960 a quarter */
    private function __construct(public int $ticks, public string $name, public int $dots, public bool $triplet) {}

    /**
     * A length as the fewest notes, tied: the longest first.
     *
     * @param int $ticks above 0
     *
     * @return non-empty-list<self>
     */
    public static function split(int $ticks): array
    {
        $values = [];
        $all = self::all();
        while ($ticks > 0) {
            $fits = array_values(array_filter($all, static fn (self $each): bool => $each->ticks <= $ticks));
            // Thirds of a beat are written as such, not as what binary values leave over.
            $thirds = array_values(array_filter($fits, static fn (self $each): bool => $each->triplet));
            $value = $ticks % 60 !== 0 || ($ticks % 120 !== 0 && $ticks % 80 === 0) ? ($thirds[0] ?? $fits[0] ?? null) : ($fits[0] ?? null);
            $value ??= new self($ticks, '64th', 0, false);
            $values[] = $value;
            $ticks -= $value->ticks;
        }

        return $values === [] ? [new self(60, '64th', 0, false)] : $values;
    }

    /** @return list<self> the longest first */
    private static function all(): array
    {
        $all = [];
        foreach (self::NAMES as $name => $part) {
            $ticks = intdiv(self::WHOLE, $part);
            $all[] = new self($ticks, $name, 0, false);
            if ($part < 64) {
                $all[] = new self(intdiv(3 * $ticks, 2), $name, 1, false);
            }
            if ($part > 1) {
                $all[] = new self(intdiv(2 * $ticks, 3), $name, 0, true);
            }
        }
        usort($all, static fn (self $a, self $b): int => [$b->ticks, $a->triplet] <=> [$a->ticks, $b->triplet]);

        return array_values(array_filter($all, static fn (self $each): bool => ! $each->triplet || $each->ticks <= 1280));
    }
}
