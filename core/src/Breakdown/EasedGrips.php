<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\FormChord;
use Gravik\Chart\Pin;
use Gravik\Chart\VoicedForm;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\EasierGrip;
use Gravik\Neck\NeckException;

/** A song for one hand: where it cannot take a grip, the nearest one of the same chord that it can is pinned. */
final readonly class EasedGrips
{
    /** @param list<EasedGrip> $grips each once, in the order in which they come */
    private function __construct(public Breakdown $song, public array $grips) {}

    /** @param array<string, VoicedForm> $voiced the song's grips, by line */
    public static function of(Breakdown $song, HandProfile $hand, array $voiced): self
    {
        $lines = $grips = [];
        foreach ($song->lines as $line) {
            $form = $voiced[$line->id] ?? null;
            [$lines[], $eased] = $form === null ? [$line, []] : self::line($song, $line, $form, $hand);
            $grips += $eased;
        }

        return new self($song->with(lines: $lines), array_values($grips));
    }

    /** @return array{VoicingLine, array<string, EasedGrip>} by chord and grip */
    private static function line(Breakdown $song, VoicingLine $line, VoicedForm $form, HandProfile $hand): array
    {
        $easier = new EasierGrip(Toolbox::of($song, $line)->finder($hand), $hand);
        $known = [];
        $pins = $line->pins;
        foreach ($form->form->chords as $place => $chord) {
            $grip = $form->path->voicings[$place];
            $key = $chord->chord->text().' '.implode(' ', array_map(static fn (?int $fret): string => $fret === null ? 'x' : (string) $fret, $grip->frets));
            if (! array_key_exists($key, $known)) {
                $why = $easier->whyNot($grip);

                try {
                    $known[$key] = $why === null
                        ? null
                        : new EasedGrip($chord->chord->text(), $why, $grip->frets, $easier->instead($grip)->frets);
                } catch (NeckException) {
                    // This hand can take no grip of the chord here: it stays as the teacher has it.
                    $known[$key] = null;
                }
            }
            if ($known[$key] !== null) {
                $pins = self::pinned($pins, $chord, $known[$key]->now);
            }
        }

        return [$line->with(pins: $pins), array_filter($known)];
    }

    /**
     * @param list<Pin>      $pins
     * @param list<int|null> $frets
     *
     * @return list<Pin>
     */
    private static function pinned(array $pins, FormChord $chord, array $frets): array
    {
        $others = array_filter($pins, static fn (Pin $pin): bool => ! $pin->at->equals($chord->at));

        return [...array_values($others), new Pin($chord->at, $chord->chord->text(), $frets)];
    }
}
