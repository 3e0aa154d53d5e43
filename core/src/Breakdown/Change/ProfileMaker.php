<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\Role;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Desk;

/** What other breakdowns can begin from: a place's strokes, grips, feel and band in their roles, without its chords. */
final readonly class ProfileMaker
{
    public function of(Desk $desk, string $word): Breakdown
    {
        $song = $desk->breakdown;
        $cells = [];
        foreach ($song->parts as $part) {
            $role = $song->cellFor($desk->pass, $desk->section->id, $part->id)->role;
            if ($role !== Role::Active) {
                $cells[] = new Cell($part->id, role: $role);
            }
        }

        return Beginning::blank()->with(
            genre: $word,
            start: $desk->setting,
            patterns: [$desk->named()],
            lines: [$desk->line()->with(pins: [])],
            parts: $song->parts,
            cells: $cells,
        );
    }
}
