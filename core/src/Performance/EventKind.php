<?php

declare(strict_types=1);

namespace Gravik\Performance;

/** What a timed event is, so that whoever sounds it knows how. */
enum EventKind: string
{
    case Ring = 'ring';
    case Short = 'short';
    case PalmMute = 'palm-mute';
    case Chuck = 'chuck';
    case Ghost = 'ghost';
    case Bass = 'bass';
    case Drum = 'drum';
    case Keys = 'keys';
    case Organ = 'organ';
    case Accordion = 'accordion';
    case Horn = 'horn';
    case Voice = 'voice';
    case Bow = 'bow';
}
