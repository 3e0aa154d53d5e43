<?php

declare(strict_types=1);

namespace App\Compute;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\Form;
use Gravik\Chart\GripsKey;
use Gravik\Chart\VoicedForm;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Grip\Voicing;

/** The grips of a song, remembered line by line by what they depend on. */
final readonly class VoicedForms
{
    public function __construct(private GripsCache $kept) {}

    /** @return array<string, VoicedForm> by line */
    public function all(Breakdown $breakdown): array
    {
        $form = $breakdown->written();

        return array_column(
            array_map(fn (VoicingLine $line): array => [$line->id, $this->over($form, $breakdown, $line)], $breakdown->linesPlayed()),
            1,
            0,
        );
    }

    public function of(Breakdown $breakdown, VoicingLine $line): VoicedForm
    {
        return $this->over($breakdown->written(), $breakdown, $line);
    }

    private function over(Form $form, Breakdown $breakdown, VoicingLine $line): VoicedForm
    {
        $voicer = Toolbox::of($breakdown, $line)->voicer();
        $key = GripsKey::of($form, $breakdown->neck, $line);
        $known = $this->kept->get($key);
        if ($known !== null && count($known) === count($form->chords)) {
            return $voicer->voiceWith($form, $line->pins, $known);
        }
        $voiced = $voicer->voice($form, $line->pins);
        $this->kept->put($key, array_map(static fn (Voicing $voicing): array => $voicing->frets, $voiced->path->voicings));

        return $voiced;
    }
}
