<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureLayout;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FigureRegister;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Melody\RiffNote;

/**
 * Proposes a register of a figure for every pass it is played in: as typed first, then up the neck and back, so that no two
 * passes that follow one another lie alike. Within a pass the hand goes the shortest way to each chord; V is two frets above IV.
 */
final readonly class RegisterPlanner
{
    /** Registers nearer than this are one place. */
    private const APART = 3;

    private const MOST = 4;

    private const OCTAVES = [0, 1, -1];

    private const IV = 5;

    private const V = 7;

    /** @return list<FigureRegister> where all of it lies under the fingers, as typed first, then up the neck; at most four */
    public function registers(Breakdown $breakdown, Figure $figure): array
    {
        $typed = array_merge([], ...array_merge([], ...$figure->notes));
        if ($typed === []) {
            return [];
        }
        $open = $breakdown->neck->openMidi();
        $sounds = $open[count($open) - $typed[0]->string] + $typed[0]->fret;
        $home = null;
        $registers = [];
        foreach ($this->hands($breakdown, $figure, $figure->chord, $figure->key) as [$near, $octave, $laid]) {
            $register = new FigureRegister($near, $octave, intdiv($laid[0]->midi - $sounds, 12), $laid[0]->string - $typed[0]->string);
            $isHome = self::places($laid) === self::places($typed);
            $last = end($registers);
            if ($last === false || $near - $last->near >= self::APART) {
                $registers[] = $register;
                $home = $isHome ? count($registers) - 1 : $home;
            } elseif ($isHome) {
                $home = count($registers) - 1;
                $registers[$home] = $register;
            }
        }
        $upwards = array_slice($registers, $home ?? 0);

        return array_slice(count($upwards) > 1 ? $upwards : array_reverse($registers), 0, self::MOST);
    }

    /**
     * On open strings only where it is typed with some, since these do not move.
     *
     * @return list<array{int, int, non-empty-list<RiffNote>}> fret of the hand, octave to ask for there, and all its notes: each another
     *                                                         way to play them, from the nut upwards
     */
    private function hands(Breakdown $breakdown, Figure $figure, ChordSymbol $chord, Key $key): array
    {
        $layout = new FigureLayout($breakdown->neck);
        $isOpen = static fn (FigureNote|RiffNote $note): bool => $note->fret === 0;
        $mayBeOpen = array_filter(array_merge([], ...array_merge([], ...$figure->notes)), $isOpen) !== [];
        $hands = [];
        foreach (self::OCTAVES as $octave) {
            foreach ($layout->hands($figure, $chord, $key, $octave) as $near) {
                $laid = $layout->of($figure, $chord, $key, $octave, $near, [], false);
                $laid = array_values(array_filter(array_merge([], ...array_merge([], ...$laid))));
                if ($laid !== [] && ($mayBeOpen || array_filter($laid, $isOpen) === [])) {
                    $hands[serialize(self::places($laid))] ??= [$near, $octave, $laid];
                }
            }
        }
        usort($hands, static fn (array $a, array $b): int => [$a[0], abs($a[1])] <=> [$b[0], abs($b[1])]);

        return $hands;
    }

    /**
     * @param list<FigureNote|RiffNote> $notes
     *
     * @return list<array{int, int}> string and fret
     */
    private static function places(array $notes): array
    {
        return array_map(static fn (FigureNote|RiffNote $note): array => [$note->string, $note->fret], $notes);
    }

    /** @return list<array{string, FigureRegister}> ids of the passes it is played in, and where */
    public function plan(Breakdown $breakdown, Figure $figure): array
    {
        $registers = $this->registers($breakdown, $figure);
        $plan = [];
        foreach ($breakdown->passes as $pass) {
            $isPlayed = array_filter($breakdown->played, static fn (PlacedFigure $each): bool => self::isIn($each, $figure, $pass)) !== [];
            if ($isPlayed && $registers !== []) {
                $plan[] = [$pass->id, $registers[self::upAndBack(count($plan), count($registers))]];
            }
        }

        return $plan;
    }

    /** The song with the plan carried out. */
    public function apply(Breakdown $breakdown, Figure $figure): Breakdown
    {
        $changed = $breakdown;
        foreach ($this->plan($breakdown, $figure) as [$pass, $register]) {
            $four = null;
            foreach ($breakdown->played as $placed) {
                if ($placed->figure->id !== $figure->id || ($placed->passes !== null && ! in_array($pass, $placed->passes, true))) {
                    continue;
                }
                $desk = Desk::of($breakdown, $pass, $placed->at->section);
                $key = $desk->setting->key;
                $chord = $desk->chordAt($placed->at)->chord ?? $figure->chord;
                $degree = ($chord->rootPitchClass() - $key->tonicTriad()->rootPitchClass() + 12) % 12;
                [$near, $octave] = $this->nearest(
                    $this->hands($breakdown, $figure, $chord, $key),
                    $degree === self::V && $four !== null ? $four + 2 : $register->near,
                ) ?? [$register->near, $register->octave];
                $four = $degree === self::IV ? $near : $four;
                $changed = (new FigurePlacer())->place(
                    $changed,
                    new PlacedFigure($figure, $placed->at, [$pass], $placed->times, $placed->instead, $octave, $near),
                );
            }
        }

        return $changed;
    }

    /**
     * @param list<array{int, int, list<RiffNote>}> $hands
     *
     * @return ?array{int, int, list<RiffNote>} the one that lies nearest to a fret
     */
    private function nearest(array $hands, int $home): ?array
    {
        usort($hands, static fn (array $a, array $b): int => [abs($a[0] - $home), $a[0]] <=> [abs($b[0] - $home), $b[0]]);

        return $hands[0] ?? null;
    }

    /** 0 1 2 1 0 1 … */
    private static function upAndBack(int $pass, int $registers): int
    {
        $round = max(1, 2 * ($registers - 1));

        return min($pass % $round, $round - $pass % $round);
    }

    private static function isIn(PlacedFigure $placed, Figure $figure, Pass $pass): bool
    {
        return $placed->figure->id === $figure->id && ($placed->passes === null || in_array($pass->id, $placed->passes, true));
    }
}
