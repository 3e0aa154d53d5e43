<?php

declare(strict_types=1);

namespace Gravik\Simulation;

use Gravik\Band\Instrument;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Timeline;

/**
 * A performance as sound: every event of a timeline mixed into one channel, in the figures of the browser's synth. It
 * comes in blocks, so that a long form needs no more memory than a short one.
 */
final readonly class RenderedBand
{
    public const RATE = 44100;

    private const BLOCK_SECONDS = 5;

    private const MASTER = 0.4;

    /** A string that is let go dies away in the first time, one that is choked in the second. */
    private const LET_GO = 0.06;

    private const CHOKE = 0.012;

    private const TAIL_SECONDS = 1.0;

    private StringSound $string;

    private DrumSound $drum;

    private ToneSound $tone;

    public function __construct(private int $rate = self::RATE)
    {
        $this->string = new StringSound($rate);
        $this->drum = new DrumSound($rate);
        $this->tone = new ToneSound($rate);
    }

    /** @return int how many samples the form has, with a second for it to die away */
    public function samples(Timeline $timeline): int
    {
        return (int) (($timeline->seconds + self::TAIL_SECONDS) * $this->rate);
    }

    /**
     * @param ?list<Instrument> $parts to be heard; null for all
     *
     * @return \Generator<int, list<float>> blocks of samples, about −1 to 1
     */
    public function blocks(Timeline $timeline, ?array $parts = null): \Generator
    {
        $events = array_values(array_filter(
            $timeline->events,
            static fn (Event $event): bool => $parts === null || in_array($event->part->instrument, $parts, true),
        ));
        $longest = self::longest($events);
        $sounds = [];
        $voices = [];
        $next = 0;
        $total = $this->samples($timeline);
        for ($start = 0; $start < $total; $start += $length) {
            $length = min(self::BLOCK_SECONDS * $this->rate, $total - $start);
            $block = array_fill(0, $length, 0.0);
            for (; isset($events[$next]) && $events[$next]->t * $this->rate < $start + $length; $next++) {
                $event = $events[$next];
                $key = self::key($event);
                $sounds[$key] ??= Samples::mellow($this->sound($event, $longest[$key]), $event->mellow());
                $voices[] = [
                    'sound' => $sounds[$key],
                    'at' => (int) round($event->t * $this->rate),
                    'gain' => self::MASTER * $event->velocity,
                ]
                    + $this->ending($event);
            }
            foreach ($voices as $place => $voice) {
                self::add($block, $start, $voice);
                if ($voice['at'] + min(count($voice['sound']), $voice['held'] + $voice['fade']) <= $start + $length) {
                    unset($voices[$place]);
                }
            }
            yield array_values($block);
        }
    }

    /** @return array{held: int, fade: int} in samples; drums ring out by themselves */
    private function ending(Event $event): array
    {
        $letGo = $event->kind === EventKind::Ring || self::tone($event->kind) !== null;

        return $event->part->instrument === Instrument::Drums
            ? ['held' => PHP_INT_MAX >> 1, 'fade' => 0]
            : ['held' => (int) round($event->dur * $this->rate), 'fade' => (int) (($letGo ? self::LET_GO : self::CHOKE) * $this->rate)];
    }

    /**
     * @param array<int, float>                                                      $block
     * @param array{sound: list<float>, at: int, gain: float, held: int, fade: int} $voice
     */
    private static function add(array &$block, int $start, array $voice): void
    {
        ['sound' => $sound, 'at' => $at, 'gain' => $gain, 'held' => $held, 'fade' => $fade] = $voice;
        $from = max(0, $start - $at);
        $to = min(count($sound), $start + count($block) - $at);
        $plain = min($to, $held);
        $offset = $at - $start;
        for ($i = $from; $i < $plain; $i++) {
            $block[$offset + $i] += $gain * $sound[$i];
        }
        $last = min($to, $held + $fade);
        for ($i = max($from, $plain); $i < $last; $i++) {
            $block[$offset + $i] += $gain * $sound[$i] * exp(-5 * ($i - $held) / $fade);
        }
    }

    /**
     * How long each sound is needed: most strokes are cut long before a string has died away.
     *
     * @param list<Event> $events
     *
     * @return array<string, float> seconds
     */
    private static function longest(array $events): array
    {
        $longest = [];
        foreach ($events as $event) {
            $key = self::key($event);
            $longest[$key] = max($longest[$key] ?? 0.0, $event->dur + self::LET_GO);
        }

        return $longest;
    }

    private static function key(Event $event): string
    {
        $glide = $event->glide === [] ? '' : json_encode([$event->glide, round($event->dur, 4)], JSON_THROW_ON_ERROR);

        $pitch = $event->pitch ?? 's'.$event->string;

        return "{$event->part->instrument->value}{$event->kind->value}{$pitch}{$event->direction?->value}{$glide} {$event->mellow()}";
    }

    /** @return list<float> */
    private function sound(Event $event, float $seconds): array
    {
        $up = $event->direction?->value === 'up';
        $pitch = $event->pitch ?? 40 + 5 * (6 - ($event->string ?? 6));

        $tone = self::tone($event->kind);

        return match (true) {
            $event->part->instrument === Instrument::Drums => $this->drum->of($pitch),
            $tone !== null => $this->tone->of($pitch, $tone, $seconds),
            $event->kind === EventKind::Chuck => $this->string->chuck($pitch, $up),
            default => $this->string->of($pitch, self::voice($event), $up, $seconds, $event->glide),
        };
    }

    /** @return 'keys'|'organ'|'accordion'|'horn'|'voice'|'bow'|null null for what is no sum of partials */
    private static function tone(EventKind $kind): ?string
    {
        return match ($kind) {
            EventKind::Keys => 'keys',
            EventKind::Organ => 'organ',
            EventKind::Accordion => 'accordion',
            EventKind::Horn => 'horn',
            EventKind::Voice => 'voice',
            EventKind::Bow => 'bow',
            EventKind::Ring, EventKind::Short, EventKind::PalmMute, EventKind::Chuck, EventKind::Ghost, EventKind::Bass, EventKind::Drum
                => null,
        };
    }

    /** @return 'ring'|'palm-mute'|'bass' */
    private static function voice(Event $event): string
    {
        return match (true) {
            $event->part->instrument === Instrument::Bass => 'bass',
            $event->kind === EventKind::PalmMute => 'palm-mute',
            default => 'ring',
        };
    }
}
