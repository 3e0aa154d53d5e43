<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Form;

/** Somebody who plays along with the guitar. A new one needs a class here and a place in the LineUp. */
interface Player
{
    public function part(): PartName;

    /** @return list<BandNote> through the whole form, in any order */
    public function play(Form $form): array;
}
