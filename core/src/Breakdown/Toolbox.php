<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\Approacher;
use Gravik\Chart\FormVoicer;
use Gravik\Chart\VoicedForm;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\Neck;

/** The services of other rooms, set up as a breakdown's neck and a line of grips ask for. */
final readonly class Toolbox
{
    private function __construct(private Breakdown $breakdown, private VoicingLine $line) {}

    /** @param ?VoicingLine $line of the breakdown; its first where null */
    public static function of(Breakdown $breakdown, ?VoicingLine $line = null): self
    {
        return new self($breakdown, $line ?? $breakdown->lines[0]);
    }

    public function finder(HandProfile $hand = new HandProfile()): VoicingFinder
    {
        $neck = $this->breakdown->neck;
        $wishes = $this->line->wishes;
        $strings = $wishes->strings === '' ? null : Neck::parseStrings($wishes->strings, $neck->tuning->strings());

        return new VoicingFinder(new Neck($neck->tuning, $neck->capo, $strings), $wishes->window, $this->line->company, $hand);
    }

    public function voicer(): FormVoicer
    {
        return new FormVoicer($this->finder(), new PathFinder($this->breakdown->neck, $this->line->wishes));
    }

    /** The written song with a grip for each chord: pinned ones as they are, the rest by the cheapest path. */
    public function voiced(): VoicedForm
    {
        return $this->voicer()->voice($this->breakdown->written(), $this->line->pins);
    }

    public function approacher(): Approacher
    {
        return new Approacher($this->breakdown->neck, $this->finder(), $this->breakdown->start->key);
    }
}
