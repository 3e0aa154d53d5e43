<?php

declare(strict_types=1);

use App\Models\Group;
use App\Models\Invitation;
use App\Models\Role;
use App\Models\User;

/** @return array{name: string, email: string, password: string} */
function newcomer(string $name = 'Newcomer'): array
{
    return ['name' => $name, 'email' => strtolower($name).'@gravik.test', 'password' => 'low-tide-at-six'];
}

function ownerOf(Tests\TestCase $case): User
{
    $owner = $case->teacher('Owner');
    $owner->update(['owner' => true]);

    return $owner;
}

it('begins a school with its owner, once', function (): void {
    $this->getJson('/api/start')->assertOk()->assertExactJson(['empty' => true]);
    $this->postJson('/api/start', ['name' => 'Maren'])->assertStatus(422)->assertJsonValidationErrors(['email', 'password']);
    $this->postJson('/api/start', newcomer('Maren'))->assertCreated()->assertJsonPath('owner', true)->assertJsonPath('role', 'teacher');
    $this->getJson('/api/session')->assertOk()->assertJsonPath('name', 'Maren');
    $this->deleteJson('/api/session');
    $this->getJson('/api/start')->assertExactJson(['empty' => false]);
    $this->postJson('/api/start', newcomer('Thief'))->assertStatus(410);

    expect(User::query()->count())->toBe(1);
});

it('lets people in by a link once, within seven days', function (string $kind, Role $role): void {
    $owner = ownerOf($this);
    $link = fn (): string => $this->actingAs($owner)
        ->postJson('/api/invitations', ['kind' => $kind, 'name' => 'N.'])->assertCreated()->json('path');
    $path = '/api'.$link();
    $this->getJson('/api/invitations')->assertOk()->assertJsonCount(1)->assertJsonMissingPath('0.token');
    auth()->logout();
    $this->getJson($path)->assertOk()->assertJsonPath('by', 'Owner')->assertJsonPath('kind', $kind);
    $this->postJson($path, ['password' => 'short'] + newcomer())->assertStatus(422);
    $this->postJson($path, newcomer())->assertCreated()->assertJsonPath('role', $role->value)->assertJsonPath('owner', false);
    auth()->logout();
    $this->postJson($path, newcomer('Second'))->assertStatus(410)
        ->assertJsonPath('message', 'This link was used already: it works once. Sign in, or ask your teacher for a new one.');
    $old = '/api'.$link();
    auth()->logout();
    $this->travel(8)->days();
    $this->postJson($old, newcomer('Late'))->assertStatus(410);
    $this->getJson('/api/join/'.str_repeat('x', 40))->assertStatus(410);

    expect(User::query()->whereIn('name', ['Second', 'Late'])->exists())->toBeFalse()
        ->and(User::taughtBy($owner)->where('name', 'Newcomer')->exists())->toBe($role === Role::Student);
})->with([['student', Role::Student], ['teacher', Role::Teacher]]);

it('keeps only what nobody can read a link from', function (): void {
    $path = $this->actingAs($this->teacher())->postJson('/api/invitations', ['kind' => 'student'])->json('path');

    expect(Invitation::query()->sole()->token)->not->toContain(substr($path, 6))->toHaveLength(64);
});

it('lets a class in by its code while that is open', function (): void {
    [$teacher, $other] = [$this->teacher(), $this->teacher('Other')];
    $id = $this->actingAs($teacher)->postJson('/api/groups', ['name' => 'Tuesday'])->assertCreated()
        ->assertJsonPath('code', null)->json('id');
    $code = $this->putJson("/api/groups/{$id}", ['name' => 'Tuesday', 'open' => true])->assertOk()->json('code');
    auth()->logout();
    $typed = strtolower(substr($code, 0, 4).' - '.substr($code, 4));
    $this->postJson('/api/join', ['code' => $typed] + newcomer())->assertCreated();
    $this->actingAs($teacher)->getJson('/api/groups')->assertOk()->assertJsonCount(1, '0.members');
    $this->actingAs($other)->putJson("/api/groups/{$id}", ['name' => 'Mine'])->assertNotFound();
    $this->deleteJson("/api/groups/{$id}")->assertNotFound();
    $this->actingAs($teacher)->putJson("/api/groups/{$id}", ['name' => 'Tuesday', 'open' => false])->assertJsonPath('code', null);
    auth()->logout();
    $this->postJson('/api/join', ['code' => $code] + newcomer('Late'))->assertStatus(410);
    $this->postJson('/api/join', ['code' => ''] + newcomer('Late'))->assertStatus(410);

    expect(User::taughtBy($teacher)->pluck('name')->all())->toBe(['Newcomer'])->and(User::taughtBy($other)->exists())->toBeFalse();
});

it('puts nobody into a class who is another teacher’s student', function (): void {
    [$teacher, $mine, $theirs] = [$this->teacher(), $this->student('Mine'), $this->student('Theirs')];
    $teacher->students()->attach($mine);
    $group = Group::query()->create(['teacher_id' => $teacher->id, 'name' => 'Band']);
    $this->actingAs($teacher)->putJson("/api/groups/{$group->id}", ['name' => 'Band', 'members' => [$mine->id, $theirs->id, 999]])
        ->assertOk()->assertJsonPath('members', [$mine->id]);
});

it('sets a forgotten password anew, for one’s own students alone', function (): void {
    [$teacher, $other, $student] = [$this->teacher(), $this->teacher('Other'), $this->student('Pupil')];
    $teacher->students()->attach($student);
    $asked = ['kind' => 'password', 'person' => $student->id];
    $this->actingAs($other)->postJson('/api/invitations', $asked)->assertNotFound();
    $this->actingAs($student)->postJson('/api/invitations', ['kind' => 'student'])->assertForbidden();
    $this->actingAs($teacher)->postJson('/api/invitations', ['kind' => 'teacher'])->assertForbidden();
    $path = '/api'.$this->postJson('/api/invitations', $asked)->assertCreated()->assertJsonPath('invitation.name', 'Pupil')->json('path');
    auth()->logout();
    $this->postJson($path, ['password' => 'another-tide'])->assertCreated()->assertJsonPath('name', 'Pupil');
    auth()->logout();
    $this->postJson('/api/session', ['email' => $student->email, 'password' => 'another-tide'])->assertOk();
});

it('changes one’s own account against the password of today, and signs out elsewhere', function (): void {
    $this->teacher('Maren');
    $this->postJson('/api/session', ['email' => 'maren@gravik.test', 'password' => 'harbour-light'])->assertOk();
    $this->putJson('/api/account', ['current' => 'guess', 'name' => 'Thief'])->assertStatus(422)->assertJsonValidationErrors('current');
    $this->putJson('/api/account', ['current' => 'harbour-light', 'name' => ' Maren B. ', 'email' => 'MAREN@home.test'])
        ->assertOk()->assertJsonPath('name', 'Maren B.')->assertJsonPath('email', 'maren@home.test');
    $elsewhere = session()->all();
    $this->putJson('/api/account', ['current' => 'harbour-light', 'password' => 'a-new-harbour'])->assertOk();
    $this->getJson('/api/session')->assertOk();
    session()->replace($elsewhere);
    auth()->forgetGuards();
    $this->getJson('/api/session')->assertUnauthorized();
    $this->postJson('/api/session', ['email' => 'maren@home.test', 'password' => 'a-new-harbour'])->assertOk();
    $elsewhere = session()->all();
    $this->postJson('/api/account/sign-out-everywhere', ['current' => 'a-new-harbour'])->assertNoContent();
    $this->getJson('/api/session')->assertOk();
    session()->replace($elsewhere);
    auth()->forgetGuards();
    $this->getJson('/api/session')->assertUnauthorized();
});

it('lets everybody take along what is theirs, and go', function (): void {
    [$teacher, $student] = [$this->teacher(), $this->student('Pupil')];
    $breakdown = $this->shelved($teacher);
    app(App\School\Assigning::class)->give($teacher, $breakdown, [$student], [], null, 10, true);
    $this->actingAs($student)->postJson("/api/breakdowns/{$breakdown->id}/takes", ['id' => $this->newId(), 'tempo' => 120, 'bars' => 2,
        'latency_ms' => 0, 'taps' => [['t' => 0.0]]])->assertCreated();
    $names = function (User $whose): array {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $this->actingAs($whose)->get('/api/account/export')->assertOk()->getContent());
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::RDONLY);
        $found = array_map(static fn (int $index): string => (string) $zip->getNameIndex($index), range(0, $zip->numFiles - 1));
        $csv = (string) $zip->getFromName('takes.csv');
        unlink($path);

        return [$found, $csv];
    };
    [$mine, $csv] = $names($student);
    [$theirs] = $names($teacher);

    expect($mine)->toHaveCount(4)->and(implode(' ', $mine))->toContain('takes/')->not->toContain('breakdowns/')
        ->and($csv)->toContain('Pupil')
        ->and($theirs)->toContain("breakdowns/{$breakdown->id}.gravik.json");
    $this->actingAs($student)->deleteJson('/api/account', ['current' => 'guess'])->assertStatus(422);
    $this->deleteJson('/api/account', ['current' => 'harbour-light'])->assertNoContent();
    expect(User::query()->find($student->id))->toBeNull()->and($breakdown->takes()->count())->toBe(0);
    $this->actingAs(ownerOf($this))->deleteJson('/api/account', ['current' => 'harbour-light'])->assertStatus(409);
});

it('makes a link for each of ten thousand names, and names every line it leaves out', function (): void {
    $teacher = $this->teacher();
    $lines = ['Name;Instrument', 'Ada;guitar', '', ';bass', 'Ada;drums', str_repeat('x', 81), '"Bo, the second";guitar', '"Cy'];
    $answer = $this->actingAs($teacher)->postJson('/api/invitations/many', ['names' => implode("\r\n", $lines)])->assertCreated();

    expect(array_column($answer->json('made'), 'name'))->toBe(['Ada', 'Bo, the second'])
        ->and(array_column($answer->json('problems'), 'says', 'line'))->toBe([
            4 => 'there is no name in its first column', 5 => 'the name stands in line 2 already',
            6 => 'the name is longer than 80 letters', 8 => 'a quotation mark is not closed',
        ]);
    auth()->logout();
    $this->postJson('/api'.$answer->json('made.1.path'), newcomer('Bo'))->assertCreated();
    $many = implode("\n", array_map(static fn (int $number): string => "Pupil {$number}", range(1, 10_001)));
    $answer = $this->actingAs($teacher)->postJson('/api/invitations/many', ['names' => $many])->assertCreated();

    expect($answer->json('made'))->toHaveCount(10_000)
        ->and($answer->json('problems'))->toBe([['line' => 10_001, 'says' => 'more than 10,000 names at once']])
        ->and(Invitation::query()->count())->toBe(10_002);
    $this->postJson('/api/invitations/many', ['names' => ''])->assertStatus(422);
    $this->actingAs($this->student())->postJson('/api/invitations/many', ['names' => 'Di'])->assertForbidden();
});

it('keeps a record of who came in, was given something and left, for the owner alone', function (): void {
    $owner = ownerOf($this);
    $student = $this->student('Pupil');
    $owner->students()->attach($student);
    $breakdown = $this->shelved($owner);
    $this->postJson('/api/session', ['email' => $owner->email, 'password' => 'harbour-light'])->assertOk();
    $this->postJson('/api/invitations', ['kind' => 'student', 'name' => 'Bo'])->assertCreated();
    $id = $this->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$student->id]])->assertCreated()->json('0.id');
    $this->deleteJson("/api/assignments/{$id}")->assertNoContent();
    $this->actingAs($student)->getJson('/api/records')->assertForbidden();
    $this->deleteJson('/api/account', ['current' => 'harbour-light'])->assertNoContent();
    $told = array_map(
        static fn (array $each): string => trim("{$each['by']} {$each['words']} {$each['about']}"),
        $this->actingAs($owner)->getJson('/api/records')->assertOk()->json('items'),
    );

    expect($told)->toBe(['Pupil deleted the account', 'Owner took work back: “Tide Table” from Pupil',
        'Owner gave work: “Tide Table” to Pupil', 'Owner made a link for Bo (student)', 'Owner signed in']);
});

it('gives everybody in a band something to do in each pass of a tune, and keeps what its listeners heard', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $mate = $this->student('Mate');
    $teacher->students()->attach($mate);
    $this->actingAs($teacher);
    $group = $this->postJson('/api/groups', ['name' => 'Night Ferry'])->assertCreated()->json('id');
    $this->putJson("/api/groups/{$group}", ['name' => 'Night Ferry', 'members' => [$student->id, $mate->id], 'plays' => [
        ['student' => $student->id, 'instrument' => 'guitar'],
    ]])->assertOk()->assertJsonPath('plays', [['student' => $student->id, 'instrument' => 'guitar']]);
    $this->putJson("/api/groups/{$group}", ['name' => 'Night Ferry', 'plays' => [['student' => $mate->id, 'instrument' => 'kazoo']]])->assertStatus(422);
    $jobs = $this->getJson("/api/groups/{$group}/jobs?breakdown={$breakdown->id}")->assertOk()->json('0.jobs');

    expect(array_column($jobs, 'plays', 'member'))->toEqualCanonicalizing([$student->id => true, $mate->id => false])
        ->and(array_column($jobs, 'words'))->each->not->toBe('');
    $heard = ['breakdown' => $breakdown->id, 'heard_by' => $mate->id, 'seat' => 'room', 'gain_db' => -6, 'verdict' => 'too-soft'];
    $note = $this->postJson("/api/groups/{$group}/balances", $heard)->assertCreated()->json('id');
    $this->postJson("/api/groups/{$group}/balances", ['gain_db' => null, 'verdict' => 'sits'] + $heard)->assertCreated();
    $this->postJson("/api/groups/{$group}/balances", ['heard_by' => $teacher->id] + $heard)->assertNotFound();
    $this->postJson("/api/groups/{$group}/balances", ['gain_db' => 60] + $heard)->assertStatus(422);
    $list = "/api/groups/{$group}/balances?breakdown={$breakdown->id}";
    expect($this->getJson($list)->assertOk()->json('*.gain_db'))->toEqualCanonicalizing([null, -6]);
    $this->deleteJson("/api/groups/{$group}/balances/{$note}")->assertNoContent();
    $this->getJson($list)->assertJsonCount(1)->assertJsonPath('0.heard_by', 'Mate');
    $this->actingAs($student)->getJson($list)->assertNotFound();
});

it('sends a link by mail where the school has mail, and shows it all the same', function (): void {
    $teacher = $this->teacher('Maren');
    $this->actingAs($teacher);
    $ask = ['kind' => 'student', 'name' => 'Pupil', 'email' => 'pupil@gravik.test'];
    $this->getJson('/api/choices')->assertJsonPath('mail', false);
    $this->postJson('/api/invitations', $ask)->assertCreated()->assertJsonPath('mailed', false);
    $this->postJson('/api/invitations', ['kind' => 'student'])->assertCreated()->assertJsonPath('mailed', null);
    $this->postJson('/api/invitations', ['email' => 'nowhere'] + $ask)->assertStatus(422);
    config(['mail.default' => 'array', 'app.url' => 'https://school.test']);
    $this->getJson('/api/choices')->assertJsonPath('mail', true);
    $path = $this->postJson('/api/invitations', $ask)->assertCreated()->assertJsonPath('mailed', true)->json('path');
    $sent = app('mail.manager')->mailer('array')->getSymfonyTransport()->messages();

    expect($sent)->toHaveCount(1)->and($sent[0]->getOriginalMessage()->getTextBody())->toContain("https://school.test{$path}")
        ->and($sent[0]->getEnvelope()->getRecipients()[0]->getAddress())->toBe('pupil@gravik.test');
    config(['mail.default' => 'smtp', 'mail.mailers.smtp.port' => 1]);
    $this->postJson('/api/invitations', $ask)->assertCreated()->assertJsonPath('mailed', false);
});
