<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** What was looked at in a band, what was found, the worst first, and what holds. */
final readonly class ClashReport
{
    /**
     * @param list<Clash>             $clashes
     * @param list<ClashKind>         $looked
     * @param array<string, string>   $unlooked kind => why it could not be looked at
     * @param list<string>            $holds
     */
    public function __construct(public array $clashes, public array $looked, public array $unlooked, public array $holds) {}
}
