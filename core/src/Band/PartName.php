<?php

declare(strict_types=1);

namespace Gravik\Band;

enum PartName: string
{
    case Drums = 'drums';
    case Bass = 'bass';
    case Guitar = 'guitar';
}
