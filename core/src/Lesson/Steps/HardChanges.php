<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Performance\ChangeWindow;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\Timeline;

/** Finds the changes that deserve a stage of their own: those with the least time for what they need, each pair of grips once. */
final readonly class HardChanges
{
    private const MOST = 2;

    /** A change that needs more than this share of its time is hard (rule of thumb). */
    private const SHARE = 0.9;

    /**
     * @param Timeline $timeline of the guitar at the song's tempo
     *
     * @return list<HardChange> the hardest first
     */
    public static function of(ChangeWindows $windows, Timeline $timeline): array
    {
        $hard = [];
        foreach ($windows->of($timeline) as $window) {
            $pair = $window->from->text().'>'.$window->to->text();
            if ($window->needMs > self::SHARE * $window->haveMs && $window->haveMs < ($hard[$pair]->haveMs ?? INF)) {
                $hard[$pair] = $window;
            }
        }
        usort($hard, static fn (ChangeWindow $a, ChangeWindow $b): int => $b->needMs - $b->haveMs <=> $a->needMs - $a->haveMs);

        $byPlace = [];
        foreach ($hard as $window) {
            $change = self::told($window, $timeline);
            $byPlace[$change->of()] ??= $change;
        }

        return array_slice(array_values($byPlace), 0, self::MOST);
    }

    private static function told(ChangeWindow $window, Timeline $timeline): HardChange
    {
        $tempo = $timeline->map->first()->tempo->bpm;
        $written = $timeline->course->chords[$window->chord]->written;
        // The time between two strokes grows as the tempo falls; what the hand needs does not.
        $fits = (int) floor($tempo * min(1.0, $window->haveMs / max(1.0, $window->needMs)));

        return new HardChange(
            $window,
            $timeline->course->form->chords[$written]->at,
            $window->last->bar,
            $window->first->bar,
            max(20, $fits),
        );
    }
}
