<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Time\Meter;

/** The rhythm of a bar of chords: one sign a slot, x struck, X harder, - held, . rest. */
final readonly class CompRhythm
{
    /** Of a beat, for a chord that is not held. */
    private const SHORT = 0.4;

    private function __construct(public int $grid, public string $signs, private Meter $meter) {}

    /** @param int $bar of the section, from 0: bars go by turns */
    public static function of(Way $way, Meter $meter, int $bar, Style $style = Style::Swing): self
    {
        /** @var array<string, array<string, array{int, list<string>}>> $table */
        $table = require __DIR__.'/Data/comping.php';
        [$grid, $bars] = $table[$way->value]["{$meter->text()} {$style->value}"]
            ?? $table[$way->value][$meter->text()]
            ?? self::plain($way, $meter);

        return new self($grid, $bars[$bar % count($bars)], $meter);
    }

    /** @return list<array{at: int, ticks: int, hard: bool}> ticks from the bar, and how long each is let sound, to its end at most */
    public function struck(): array
    {
        $slotTicks = intdiv($this->meter->beatTicks(), $this->grid);
        $struck = [];
        foreach (str_split($this->signs) as $slot => $sign) {
            $held = strspn($this->signs, '-', $slot + 1);
            $at = $slot * $slotTicks;
            $ticks = $held === 0 ? (int) (self::SHORT * $this->meter->beatTicks()) : (1 + $held) * $slotTicks;
            array_push(
                $struck,
                ...match ($sign) {
                    'x', 'X' => [['at' => $at, 'ticks' => min($ticks, $this->meter->barTicks() - $at), 'hard' => $sign === 'X']],
                    default => [],
                },
            );
        }

        return $struck;
    }

    /** @return array{int, list<string>} for a meter the table has not: off every beat, or on every beat but the first */
    private static function plain(Way $way, Meter $meter): array
    {
        $grid = $meter->isCompound() ? 3 : 2;
        $off = str_pad('', $grid - 1, '.').'x';
        $on = 'x'.str_pad('', $grid - 1, '.');

        return [$grid, [match ($way) {
            Way::Upbeats => str_repeat($off, $meter->beats()),
            Way::Stabs => str_repeat('.', $grid * ($meter->beats() - 1)).'X'.str_repeat('.', $grid - 1),
            default => str_repeat('.', $grid).str_repeat($on, $meter->beats() - 1),
        }]];
    }
}
