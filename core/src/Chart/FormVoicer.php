<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\NeckException;
use Gravik\Neck\PathFinder;
use Gravik\Neck\Voicing;
use Gravik\Neck\VoicingFinder;

/** Chooses a grip for every chord of a form: pinned ones as they are, the rest by the cheapest path. */
final readonly class FormVoicer
{
    public function __construct(private VoicingFinder $finder, private PathFinder $path) {}

    /**
     * @param list<Pin> $pins
     *
     * @throws NeckException where a chord has no grip here, or the grips cannot do what is wished for
     */
    public function voice(Form $form, array $pins): VoicedForm
    {
        $pinned = array_map(fn (FormChord $chord): ?array => $this->pinned($chord, $pins), $form->chords);
        $used = array_map(static fn (array $held): Pin => $held[0], array_filter($pinned));
        $loose = array_values(array_filter($pins, static fn (Pin $pin): bool => ! in_array($pin, $used, true)));

        return new VoicedForm($form, $this->path->asWished($this->candidates($form, $pinned)), $loose);
    }

    /** The form in a second place on the neck, pins left aside. */
    public function elsewhere(VoicedForm $first): VoicedForm
    {
        return new VoicedForm($first->form, $this->path->elsewhere($this->candidates($first->form, []), $first->path), []);
    }

    /**
     * @param list<array{Pin, Voicing}|null> $pinned
     *
     * @return list<non-empty-list<Voicing>> for each chord its pinned grip, or the best ones there are
     */
    private function candidates(Form $form, array $pinned): array
    {
        $found = [];
        $candidates = [];
        foreach ($form->chords as $place => $chord) {
            $held = $pinned[$place] ?? null;
            $candidates[] = $held === null
                ? $found[$chord->chord->text()] ??= $this->finder->find($chord->chord, PathFinder::CANDIDATES)->best
                : [$held[1]];
        }

        return $candidates;
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
