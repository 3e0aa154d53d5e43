<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\Texture;
use Gravik\Chart\Form;
use Gravik\Chart\Pin;
use Gravik\Chart\Setting;
use Gravik\Chart\VoicingLine;
use Gravik\CoreException;
use Gravik\Formats\Draft;
use Gravik\Formats\Failure\NothingToDraft;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\Line\PathWishes;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * Makes a breakdown of a song that another file tells: sections with their chords, the rhythm most bars have as its
 * pattern and the others in their bars, grips pinned where strings and frets are told.
 *
 * @internal used by the readers of drafts
 */
final readonly class DraftBuilder
{
    private const TEMPO = 100.0;

    private const GUITAR = 'guitar';

    /** @throws NothingToDraft */
    public static function build(DraftSong $song): Draft
    {
        $unread = $song->unread;
        $bars = array_slice($song->bars, 0, Form::MOST_BARS);
        if (count($song->bars) > Form::MOST_BARS) {
            $most = Form::MOST_BARS;
            $unread[] = sprintf('bars %d to %d: a written song has at most %d bars', $most + 1, count($song->bars), $most);
        }
        if (array_filter($bars, static fn (DraftBar $bar): bool => $bar->saysSomething()) === []) {
            throw new NothingToDraft();
        }
        $meter = $bars[0]->meter;
        $grips = DraftGrips::of($bars);
        $found = $bars;
        $bars = $grips->bars;
        // What leaves its grip is a figure of its own; the rhythms are those of the other bars.
        $plain = array_map(
            static fn (DraftBar $bar): DraftBar => DraftFigures::leaves($bar) ? $bar->struck([]) : $bar,
            $bars,
        );
        $sections = DraftSections::of($bars);
        $rhythms = DraftRhythms::of($plain, $meter, $sections->places());
        $tuning = $song->tuning ?? Tuning::standard();
        $key = self::key($song->key, $unread);
        $figures = DraftFigures::of($bars, $sections->placed, $key, $tuning->strings());
        $pins = self::pins($song, $bars, $grips, $sections->placed, $tuning->strings());
        $breakdown = new Breakdown(
            self::title($song->title),
            '',
            mb_substr($song->notes, 0, 4000),
            new Setting($key, $meter, new Tempo(min(400.0, max(20.0, $song->tempo ?? self::TEMPO))), $song->feel ?? Feel::straight()),
            new Neck($tuning, $song->capo),
            $sections->distinct,
            $sections->form,
            self::patterns($rhythms, $bars, $meter),
            [new VoicingLine('l1', '', Company::WithBass, new PathWishes(window: FretRange::parse('0-15')), $pins)],
            [new BandPart(self::GUITAR, Instrument::Guitar)],
            [new Pass('1')],
            self::cells($rhythms, $sections->placed),
            figures: array_column($figures, 'figure'),
            played: array_column($figures, 'placed'),
        );
        $strokes = array_sum(array_map(static fn (DraftBar $bar): int => count($bar->strokes), $bars));

        return new Draft($breakdown, array_values(array_filter([
            count($bars).' bars in '.count($sections->distinct).(count($sections->distinct) === 1 ? ' section' : ' sections'),
            count($breakdown->written()->chords).' chords',
            $strokes === 0 ? null : sprintf('%d strokes, %d rhythms told apart', $strokes, count($rhythms->patterns)),
            $figures === [] ? null : count($figures).' bars with notes of their own, as figures',
            $breakdown->lines[0]->pins === [] ? null : count($breakdown->lines[0]->pins).' grips on their strings and frets',
            $song->key === null ? null : 'the key, '.$breakdown->start->key->text(),
            $song->tempo === null ? null : sprintf('the tempo, %g', $breakdown->start->tempo->bpm),
            $song->feel === null ? null : sprintf('the swing, %.2f to 1', $song->feel->ratio),
        ])), $unread, DraftPicture::of($found, $tuning->strings()));
    }

    private static function title(string $title): string
    {
        $clean = trim((string) preg_replace('/\s+/u', ' ', $title));

        return $clean === '' ? 'Untitled' : mb_substr($clean, 0, 120);
    }

    /** @param list<string> $unread */
    private static function key(?string $key, array &$unread): Key
    {
        try {
            return Key::parse($key ?? 'C major');
        } catch (CoreException) {
            $unread[] = "the key “{$key}”: C major is taken";

            return Key::parse('C major');
        }
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return non-empty-list<NamedPattern>
     */
    private static function patterns(DraftRhythms $rhythms, array $bars, Meter $meter): array
    {
        $patterns = $rhythms->patterns;
        $meters = array_map(static fn (NamedPattern $each): string => $each->pattern->meter->text(), $patterns);
        foreach ($bars as $bar) {
            if (! in_array($bar->meter->text(), $meters, true)) {
                $meters[] = $bar->meter->text();
                $patterns[] = new NamedPattern(
                    'p'.(count($patterns) + 1),
                    '',
                    new Pattern($bar->meter, $bar->meter->barTicks(), [new Stream('strum', [])]),
                );
            }
        }

        return $patterns === []
            ? [new NamedPattern('p1', '', new Pattern($meter, $meter->barTicks(), [new Stream('strum', [])]))]
            : $patterns;
    }

    /**
     * @param list<DraftPlaced> $placed
     *
     * @return list<Cell>
     */
    private static function cells(DraftRhythms $rhythms, array $placed): array
    {
        $cells = [];
        $byPattern = [];
        foreach ($placed as $stretch) {
            for ($bar = 0; $bar < $stretch->count; $bar++) {
                $pattern = $rhythms->byBar[$stretch->from + $bar] ?? null;
                if ($pattern !== null && $pattern !== $rhythms->usual) {
                    // Of endings that are struck alike the first tells.
                    $byPattern[$stretch->section][$pattern][$stretch->before + $bar] = true;
                }
            }
        }
        foreach ($byPattern as $section => $patterns) {
            foreach (array_map(array_keys(...), $patterns) as $pattern => $bars) {
                $cells[] = new Cell(self::GUITAR, $section, pattern: $pattern, bars: $bars, texture: Texture::Written);
            }
        }

        return array_slice($cells, 0, Breakdown::MOST['cells']);
    }

    /**
     * A chord's grip is what is struck while it sounds, string by string; else what the file defines for it.
     *
     * @param list<DraftBar>                $bars
     * @param list<DraftPlaced> $placed
     *
     * @return list<Pin>
     */
    private static function pins(DraftSong $song, array $bars, DraftGrips $grips, array $placed, int $strings): array
    {
        $pins = [];
        foreach ($placed as $stretch) {
            for ($inStretch = 0; $inStretch < $stretch->count; $inStretch++) {
                $bar = $bars[$stretch->from + $inStretch];
                foreach ($bar->chords as [$tick, $symbol]) {
                    $frets = self::frets($grips->under($stretch->from + $inStretch, $tick), $strings) ?? $song->grips[$symbol] ?? null;
                    $beat = $bar->meter->beatTicks();
                    if ($symbol !== '' && $frets !== null && count($frets) === $strings) {
                        $pins[] = new Pin(
                            $stretch->at($inStretch, (int) round($tick / $beat) * $beat),
                            ChordSymbol::parse($symbol)->text(),
                            $frets,
                        );
                    }
                }
            }
        }

        return $pins;
    }

    /**
     * @param array<int, int> $grip string => fret
     *
     * @return ?list<int|null> from the lowest string up; null where fewer than two strings are told
     */
    private static function frets(array $grip, int $strings): ?array
    {
        return count($grip) < 2 ? null : array_map(static function (int $string) use ($grip): ?int {
            $fret = $grip[$string] ?? null;

            return $fret === null || $fret < 0 || $fret > FigureNote::HIGHEST_FRET ? null : $fret;
        }, range($strings, 1));
    }
}
