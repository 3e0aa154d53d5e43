<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Hand\WarningKind;
use Gravik\Strokes\Stroke;

/**
 * Asks what a reset accent announces: one hardest stroke at the start of a bar, alone at that weight, tells the listener
 * that something begins. Where neither chord nor section changes it signals nothing.
 */
final readonly class ResetAccents
{
    private const NAMED_BARS = 4;

    public function question(Timeline $timeline, HandInUse $hand): ?Warning
    {
        $pattern = $hand->plan->pattern;
        $hardest = array_values(array_filter(
            $pattern->strokes(),
            static fn (Stroke $stroke): bool => $stroke->accent === Stroke::STRONGEST_ACCENT,
        ));
        if (count($hardest) !== 1 || $hardest[0]->at % $pattern->meter->barTicks() !== 0) {
            return null;
        }
        $bars = [];
        foreach ($timeline->strokes as $played) {
            if (
                $played->slot >= $hand->firstSlot
                && $played->slot < $hand->firstSlot + $hand->slots()
                && $played->stroke->at === $hardest[0]->at
                && $played->stroke->accent === Stroke::STRONGEST_ACCENT
                && ! $this->somethingBegins($timeline, $played->bar)
            ) {
                $bars[] = $played->bar + 1;
            }
        }

        return $bars === [] ? null : new Warning(WarningKind::ResetAccent, sprintf(
            'The hardest stroke announces something, but in %s neither chord nor section changes. What does it signal there? If nothing, play it like the others.',
            self::named($bars),
        ), [$hardest[0]->at]);
    }

    private function somethingBegins(Timeline $timeline, int $bar): bool
    {
        $tick = $timeline->map->tickOfBar($bar);
        $before = null;
        foreach ($timeline->course->chords as $chord) {
            if ($chord->tick === $tick) {
                return $before === null
                    || $timeline->course->visits[$chord->visit]->tick === $tick
                    || $before->chord->text() !== $chord->chord->text();
            }
            $before = $chord;
        }

        return false;
    }

    /** @param non-empty-list<int> $bars from 1 */
    private static function named(array $bars): string
    {
        $more = count($bars) - self::NAMED_BARS;

        return (count($bars) === 1 ? 'bar ' : 'bars ').implode(
            ', ',
            array_slice($bars, 0, self::NAMED_BARS),
        ).($more > 0 ? " and {$more} more" : '');
    }
}
