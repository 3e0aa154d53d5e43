<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Role;
use Gravik\Chart\Visit;

/** What a part had better do in a section of a pass, and why. */
final readonly class RoleSuggestion
{
    public function __construct(public BandPart $part, public Visit $visit, public Role $role, public string $why) {}
}
