<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\BandPart;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\OnlyPass;
use Gravik\Breakdown\Failure\PassUnknown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Ending;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;

/** Takes one time through the form out, and with it what was placed in it alone. */
final readonly class PassRemover
{
    /**
     * One time through the form by itself, as it is played in the song.
     *
     * @throws BreakdownNotValid where there is no such pass
     */
    public function keepOnly(Breakdown $breakdown, string $id): Breakdown
    {
        if (! in_array($id, array_column($breakdown->passes, 'id'), true)) {
            throw new PassUnknown($id);
        }
        foreach ($breakdown->passes as $pass) {
            $breakdown = $pass->id === $id ? $breakdown : $this->remove($breakdown, $pass->id);
        }

        return $breakdown;
    }

    /** @throws BreakdownNotValid where there is no such pass, or no other */
    public function remove(Breakdown $breakdown, string $id): Breakdown
    {
        $left = array_values(array_filter($breakdown->passes, static fn (Pass $each): bool => $each->id !== $id));
        if (count($left) === count($breakdown->passes)) {
            throw new PassUnknown($id);
        }
        if ($left === []) {
            throw new OnlyPass();
        }
        $placed = [];
        foreach ($breakdown->placed as $each) {
            $in = $each->passes === null ? null : array_values(array_diff($each->passes, [$id]));
            if ($in === $each->passes) {
                $placed[] = $each;
            } elseif ($in !== null && $in !== []) {
                $placed[] = $each->with(passes: $in);
            }
        }

        foreach ($breakdown->sections as $section) {
            foreach (array_reverse($section->endings, true) as $number => $ending) {
                if ($ending->times === [] && array_diff($ending->passes, [$id]) === []) {
                    $breakdown = (new EndingRemover())->remove($breakdown, $section->id, $number);
                }
            }
        }

        return $breakdown->with(
            sections: array_map(static fn (Section $section): Section => $section->with(endings: array_map(
                static fn (Ending $ending): Ending => $ending->in(array_values(array_diff($ending->passes, [$id]))),
                $section->endings,
            )), $breakdown->sections),
            form: self::form($breakdown->form, $id),
            parts: array_map(static fn (BandPart $part): BandPart => self::without($part, $id), $breakdown->parts),
            passes: $left,
            placed: $placed,
            played: array_values(array_filter(array_map(
                static fn (PlacedFigure $each): PlacedFigure => $each->passes === null
                    ? $each
                    : $each->in(array_values(array_diff($each->passes, [$id]))),
                $breakdown->played,
            ), static fn (PlacedFigure $each): bool => $each->passes !== [])),
        );
    }

    /** A lead whose tune was played in that pass alone solos again. */
    private static function without(BandPart $part, string $pass): BandPart
    {
        if ($part->tune?->passes === null) {
            return $part;
        }
        $left = array_values(array_diff($part->tune->passes, [$pass]));

        return $part->playing($left === [] ? null : $part->tune->in($left));
    }

    /**
     * @param non-empty-list<FormEntry> $form
     *
     * @return non-empty-list<FormEntry> without what came in that pass alone
     */
    private static function form(array $form, string $pass): array
    {
        $left = array_values(array_filter(array_map(
            static fn (FormEntry $entry): FormEntry => $entry->passes === null
                ? $entry
                : $entry->in(array_values(array_diff($entry->passes, [$pass]))),
            $form,
        ), static fn (FormEntry $entry): bool => $entry->passes !== []));

        return $left === [] ? [$form[0]->in(null)] : $left;
    }
}
