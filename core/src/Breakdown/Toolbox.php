<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\Approacher;
use Gravik\Chart\FormVoicer;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\PathFinder;
use Gravik\Neck\VoicingFinder;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

/** The services of other rooms, set up as a breakdown's neck, company and wishes ask for. */
final readonly class Toolbox
{
    private function __construct(private Breakdown $breakdown) {}

    public static function of(Breakdown $breakdown): self
    {
        return new self($breakdown);
    }

    public function finder(HandProfile $hand = new HandProfile()): VoicingFinder
    {
        $neck = $this->breakdown->neck;
        $wishes = $this->breakdown->wishes;
        $strings = $wishes->strings === '' ? null : Neck::parseStrings($wishes->strings, $neck->tuning->strings());

        return new VoicingFinder(new Neck($neck->tuning, $neck->capo, $strings), $wishes->window, $this->breakdown->company, $hand);
    }

    public function voicer(): FormVoicer
    {
        return new FormVoicer($this->finder(), new PathFinder($this->breakdown->neck, $this->breakdown->wishes));
    }

    /** The form with a grip for each chord: pinned ones as they are, the rest by the cheapest path. */
    public function voiced(): VoicedForm
    {
        return $this->voicer()->voice($this->breakdown->form(), $this->breakdown->pins);
    }

    public function approacher(): Approacher
    {
        return new Approacher($this->breakdown->neck, $this->finder(), $this->breakdown->key);
    }

    /** @param ?Tempo $tempo to practise at; the written one otherwise */
    public function ruler(?Tempo $tempo = null): Ruler
    {
        return new Ruler($this->breakdown->meter, $tempo ?? $this->breakdown->tempo, $this->breakdown->feel);
    }
}
