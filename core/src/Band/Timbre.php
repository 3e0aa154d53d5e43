<?php

declare(strict_types=1);

namespace Gravik\Band;

/** What the keys sound like. */
enum Timbre: string
{
    case Piano = 'piano';
    case Organ = 'organ';
    case Accordion = 'accordion';
}
