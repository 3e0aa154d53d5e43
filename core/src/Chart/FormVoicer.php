<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\NeckException;

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
        $links = LinkedPins::of($form, $pins);
        $held = [];
        $used = [];
        foreach ($form->chords as $chord) {
            $pinned = $this->pinned($chord, $pins);
            $used[] = $pinned[0] ?? null;
            $held[] = $pinned[1] ?? $this->following($chord, $links);
        }
        $loose = array_values(array_filter($pins, static fn (Pin $pin): bool => ! in_array($pin, $used, true)));

        return new VoicedForm($form, $this->path->asWished($this->candidates($form, $held)), $loose);
    }

    /** The form in a second place on the neck, pins left aside. */
    public function elsewhere(VoicedForm $first): VoicedForm
    {
        return new VoicedForm($first->form, $this->path->elsewhere($this->candidates($first->form, []), $first->path), []);
    }

    /**
     * @param list<Voicing|null> $held
     *
     * @return list<non-empty-list<Voicing>> for each chord the grip it is held to, or the best ones there are
     */
    private function candidates(Form $form, array $held): array
    {
        $found = [];
        $candidates = [];
        foreach ($form->chords as $place => $chord) {
            $grip = $held[$place] ?? null;
            $candidates[] = $grip === null
                ? $found[$chord->chord->text()] ??= $this->finder->find($chord->chord, PathFinder::CANDIDATES)->best
                : [$grip];
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
        $known = [];
        foreach ($form->chords as $place => $chord) {
            $voicing = $known[$chord->chord->text().' '.implode(' ', $grips[$place])] ??= $this->finder->voicing(
                $chord->chord,
                $grips[$place],
            );
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
            $voicing = $pin->belongsTo($chord) && count($pin->frets) === $this->finder->strings()
                ? $this->finder->voicing($chord->chord, $pin->frets)
                : null;
            if ($voicing !== null) {
                return [$pin, $voicing];
            }
        }

        return null;
    }

    private function following(FormChord $chord, LinkedPins $links): ?Voicing
    {
        $frets = $links->fretsFor($chord->chord);

        return $frets === null || count($frets) !== $this->finder->strings() ? null : $this->finder->voicing($chord->chord, $frets);
    }
}
