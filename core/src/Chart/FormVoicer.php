<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\PathFinder;
use Gravik\Neck\Voicing;
use Gravik\Neck\VoicingFinder;

/** Chooses a grip for every chord of a form: pinned ones as they are, the rest by the cheapest path. */
final readonly class FormVoicer
{
    public function __construct(private VoicingFinder $finder, private PathFinder $path) {}

    /** @param list<Pin> $pins */
    public function voice(Form $form, array $pins): VoicedForm
    {
        $found = [];
        $candidates = [];
        $used = [];
        foreach ($form->chords as $chord) {
            $pinned = $this->pinned($chord, $pins);
            if ($pinned !== null) {
                $used[] = $pinned[0];
                $candidates[] = [$pinned[1]];
            } else {
                $found[$chord->chord->text()] ??= $this->finder->find($chord->chord, PathFinder::CANDIDATES)->best;
                $candidates[] = $found[$chord->chord->text()];
            }
        }
        $loose = array_values(array_filter($pins, static fn (Pin $pin): bool => ! in_array($pin, $used, true)));

        return new VoicedForm($form, $this->path->cheapest($candidates), $loose);
    }

    /**
     * The same form with grips that were chosen before.
     *
     * @param list<Pin>            $pins
     * @param list<list<int|null>> $grips frets of each chord, as voice() gave them
     */
    public function voiceWith(Form $form, array $pins, array $grips): VoicedForm
    {
        $candidates = [];
        foreach ($form->chords as $place => $chord) {
            $voicing = $this->finder->voicing($chord->chord, $grips[$place]);
            if ($voicing === null) {
                return $this->voice($form, $pins);
            }
            $candidates[] = [$voicing];
        }
        $held = array_filter($form->chords, fn (FormChord $chord): bool => $this->pinned($chord, $pins) !== null);
        $loose = array_values(array_filter($pins, static fn (Pin $pin): bool => array_filter($held, $pin->belongsTo(...)) === []));

        return new VoicedForm($form, $this->path->cheapest($candidates), $loose);
    }

    /**
     * @param list<Pin> $pins
     *
     * @return array{Pin, Voicing}|null
     */
    private function pinned(FormChord $chord, array $pins): ?array
    {
        foreach ($pins as $pin) {
            $voicing = $pin->belongsTo($chord) && count($pin->frets) === $this->finder->strings() ? $this->finder->voicing($chord->chord, $pin->frets) : null;
            if ($voicing !== null) {
                return [$pin, $voicing];
            }
        }

        return null;
    }
}
