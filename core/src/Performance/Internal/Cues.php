<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\BandNote;
use Gravik\Band\Hit;
use Gravik\Band\Style;

/**
 * What everybody in the band goes by.
 *
 * @internal used by Performer and BandEvents
 */
final readonly class Cues
{
    /**
     * @param array<int, list<Hit>>      $hits   of the guitar, by bar
     * @param array<int, list<BandNote>> $tune   of the lead, by bar
     * @param list<Style>                $styles one for each bar of the course
     */
    public function __construct(public array $hits, public array $tune, public array $styles) {}
}
