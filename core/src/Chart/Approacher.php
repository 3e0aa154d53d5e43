<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\GripMover;
use Gravik\Neck\InnerLine;
use Gravik\Neck\Neck;
use Gravik\Neck\Voicing;
use Gravik\Neck\VoicingFinder;

/** Works out the grips before a target and counts their slots back from it, so that the target comes on time. */
final readonly class Approacher
{
    private GripMover $mover;

    private InnerLine $innerLine;

    public function __construct(private Neck $neck, private VoicingFinder $finder, private Key $key)
    {
        $this->mover = new GripMover($finder, $key);
        $this->innerLine = new InnerLine($neck, $finder);
    }

    /**
     * @param int $target index of the form's chord
     *
     * @return ?PlacedApproach null where the neck or the form has no room for it
     */
    public function place(VoicedForm $voiced, int $target, ApproachKind $kind, int $steps, int $slotTicks): ?PlacedApproach
    {
        $grips = $this->grips($voiced->path->voicings[$target], $kind, $kind->ownSteps() ?? $steps);
        $form = $voiced->form;
        $from = $form->chords[$target]->formTicks - count($grips) * $slotTicks;
        // The first chord comes again at the end of the form: what leads to it lies there.
        $from += $from < 0 ? $form->ticks() : 0;

        return $grips === [] || $from < 0 ? null : new PlacedApproach($kind, $target, $from, $slotTicks, $grips);
    }

    /**
     * Every approach of the document that still has its chord.
     *
     * @param list<Approach> $approaches
     *
     * @return list<PlacedApproach>
     */
    public function all(VoicedForm $voiced, array $approaches): array
    {
        $placed = [];
        foreach ($approaches as $approach) {
            foreach ($voiced->form->chords as $target => $chord) {
                $one = $approach->belongsTo($chord) ? $this->place($voiced, $target, $approach->kind, $approach->steps, $approach->slotTicks) : null;
                if ($one !== null) {
                    $placed[] = $one;
                }
            }
        }

        return $placed;
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
