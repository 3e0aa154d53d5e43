<?php

declare(strict_types=1);

use Gravik\Breakdown\GenreProfile;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Form;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Chart\UsualForm;
use Gravik\Harmony\Key;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

it('writes forms out in any key, with as many bars as their names say', function (string $keyName): void {
    $key = Key::parse($keyName);
    $bars = [];
    foreach (UsualForm::in($key) as $form) {
        $read = Form::of($form->sections, new Setting($key, Meter::parse('4/4'), new Tempo(120), Feel::straight()));
        $bars[$form->slug] = count($read->bars);
        expect(array_map(static fn (Section $section): string => $section->id, $form->sections))->toBe(array_map(
            static fn (int $number): string => "s{$number}",
            range(1, count($form->sections)),
        ));
        foreach ($form->sections as $section) {
            expect((new ChartLine($key, Meter::parse('4/4')))->read($section->line)->problems)->toBe([]);
        }
    }
    expect($bars)->toBe(['twelve' => 12, 'twelve-quick' => 12, 'eight' => 8, 'sixteen' => 16, 'aaba' => 32, 'vamp' => 4]);
})->with(['C', 'B flat', 'F♯', 'E♭ minor', 'g sharp minor', 'C♯']);

it('starts from words whose groove and pattern share a meter', function (): void {
    foreach (GenreProfile::all() as $profile) {
        expect([$profile->word, $profile->pattern->pattern->meter->text()])->toBe([$profile->word, $profile->groove->meter->text()]);
    }
});
