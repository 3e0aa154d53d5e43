<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Finder\GripMover;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Melody\InnerLine;
use Gravik\Neck\Neck;

/** Works out the grips before a target and counts their slots back from it, so that the target comes on time. */
final readonly class Approacher
{
    private GripMover $mover;

    private InnerLine $innerLine;

    public function __construct(Neck $neck, private VoicingFinder $finder, private Key $key)
    {
        $this->mover = new GripMover($finder, $key);
        $this->innerLine = new InnerLine($neck, $finder);
    }

    /**
     * @param int $target index of the course's chord
     *
     * @return ?PlacedApproach null where the neck or the song has no room for it
     */
    public function place(Course $course, VoicedForm $voiced, int $target, Move $move): ?PlacedApproach
    {
        $chord = $course->chords[$target];
        $grips = $this->grips($voiced->path->voicings[$chord->written], $move->kind, $move->kind->ownSteps() ?? $move->steps);
        $from = $chord->tick - count($grips) * $move->slotTicks;
        // The first chord comes again when the song goes round: what leads to it lies at its end.
        $from += $from < 0 ? $course->ticks() : 0;

        return $grips === [] || $from < 0 ? null : new PlacedApproach($move->kind, $target, $from, $move->slotTicks, $grips);
    }

    /**
     * Every placed move that still has its chord, each time it is played.
     *
     * @param list<PlacedMove> $moves
     *
     * @return list<PlacedApproach>
     */
    public function all(Course $course, VoicedForm $voiced, array $moves): array
    {
        $placed = [];
        foreach ($moves as $move) {
            foreach ($course->chords as $target => $chord) {
                if ($move->belongsTo($course->form->chords[$chord->written]) && $move->isPlayedIn($course->visits[$chord->visit])) {
                    $placed[] = $this->place($course, $voiced, $target, $move->move);
                }
            }
        }

        return array_values(array_filter($placed));
    }

    /** @return list<Voicing> in order of time; empty where the neck has no room for all of them */
    private function grips(Voicing $target, ApproachKind $kind, int $steps): array
    {
        if ($kind === ApproachKind::InnerLine) {
            return $this->innerLine->over(ChordSymbol::parse($this->key->tonic->text()));
        }
        $offsets = $kind->offsets($steps);
        $grips = $offsets === null
            ? [$this->finder->openStrings($target->chord)]
            : array_map(fn (int $offset): ?Voicing => $this->mover->moved($target, $offset), $offsets);
        $there = array_values(array_filter($grips));

        return count($there) === count($grips) ? $there : [];
    }
}
