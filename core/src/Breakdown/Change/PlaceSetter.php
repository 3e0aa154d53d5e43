<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Desk;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\NamedPattern;

/**
 * Says which pattern, or which line of grips, the guitar plays in one section: in the pass that is worked at, or in the song
 * where its only pass is told nothing of its own.
 */
final readonly class PlaceSetter
{
    /**
     * @param ?string $pattern id; null for one of its own, a copy of what is played there now
     *
     * @throws BreakdownNotValid where there is no such pattern, or it is in another meter
     */
    public function pattern(Desk $desk, ?string $pattern): Breakdown
    {
        if ($pattern !== null) {
            return $this->named($desk, $desk->breakdown, pattern: $pattern);
        }
        $now = $desk->named();
        $id = FreeId::after('p', $desk->breakdown->patterns);
        $own = new NamedPattern($id, $desk->section->name, $now->pattern, $now->school, $now->runsOn);

        return $this->named($desk, $desk->breakdown->with(patterns: [...$desk->breakdown->patterns, $own]), pattern: $id);
    }

    /**
     * @param ?string $line id; null for one of its own, a copy of what is played there now
     *
     * @throws BreakdownNotValid where there is no such line
     */
    public function line(Desk $desk, ?string $line): Breakdown
    {
        if ($line !== null) {
            return $this->named($desk, $desk->breakdown, line: $line);
        }
        $now = $desk->line();
        $id = FreeId::after('l', $desk->breakdown->lines);
        $own = new VoicingLine($id, $desk->section->name, $now->company, $now->wishes, $now->pins);

        return $this->named($desk, $desk->breakdown->with(lines: [...$desk->breakdown->lines, $own]), line: $id);
    }

    private function named(Desk $desk, Breakdown $breakdown, ?string $pattern = null, ?string $line = null): Breakdown
    {
        $ofSong = count($breakdown->passes) === 1 && $breakdown->passes[0]->cells === [];

        return (new CellSetter())->set(
            $breakdown,
            $ofSong ? null : $desk->pass,
            new Cell($breakdown->guitar()->id, $desk->section->id, pattern: $pattern, line: $line),
        );
    }
}
