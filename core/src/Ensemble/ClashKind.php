<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** What can be in the way of whom. */
enum ClashKind: string
{
    case TwoLead = 'two-lead';
    case NearlyAlike = 'nearly-alike';
    case Colours = 'colours';
    case Mud = 'mud';
    case RootDoubled = 'root-doubled';
    case SameOctave = 'same-octave';
    case FourOutsideSwing = 'four-outside-swing';
    case WrongLeader = 'wrong-leader';
    case TooLoud = 'too-loud';
    case KicksApart = 'kicks-apart';
    case FillUnderSinging = 'fill-under-singing';
    case NothingToDouble = 'nothing-to-double';

    public function words(): string
    {
        return match ($this) {
            self::TwoLead => 'Two lead at once',
            self::NearlyAlike => 'Nearly the same rhythm',
            self::Colours => 'Colours in a passive part',
            self::Mud => 'An interval too low',
            self::RootDoubled => 'The root doubled with the bass',
            self::SameOctave => 'Guitar and keys in one octave',
            self::FourOutsideSwing => 'Four to the bar outside swing',
            self::WrongLeader => 'The other one should lead',
            self::TooLoud => 'Too loud for the soloist',
            self::KicksApart => 'Kicks that miss each other',
            self::FillUnderSinging => 'A fill under the singing',
            self::NothingToDouble => 'A melody that nobody plays',
        };
    }
}
