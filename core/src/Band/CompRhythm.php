<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Time\Meter;

/** The rhythm of a bar of chords: one sign a slot, x struck, X harder, - held, . rest. */
final readonly class CompRhythm
{
    private function __construct(public int $grid, public string $signs) {}

    /** @param int $bar of the section, from 0: bars go by turns */
    public static function of(Way $way, Meter $meter, int $bar): self
    {
        /** @var array<string, array<string, array{int, list<string>}>> $table */
        $table = require __DIR__.'/Data/comping.php';
        [$grid, $bars] = $table[$way->value][$meter->text()] ?? self::plain($way, $meter);

        return new self($grid, $bars[$bar % count($bars)]);
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
