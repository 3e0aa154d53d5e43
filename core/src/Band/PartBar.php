<?php

declare(strict_types=1);

namespace Gravik\Band;

/** What a part is asked for in one bar. */
final readonly class PartBar
{
    /**
     * @param ?Groove   $groove null for a part that plays none
     * @param list<Hit> $hits   what the guitar strikes there, for who strikes with it
     * @param list<BandNote> $tune what the lead plays there, for the lead and who doubles it
     */
    public function __construct(
        public Role $role,
        public ?Groove $groove,
        public array $hits = [],
        public array $tune = [],
        public Style $style = Style::Swing,
    ) {}
}
