<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Group;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Record;
use App\Models\RecordKind;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Links by which people come in, once and within seven days, and codes by which a class does while its teacher leaves them open. */
final readonly class Invitations
{
    private const TOKEN = 40;

    /** Signs that nobody mistakes for one another. */
    private const CODE_SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

    private const CODE_LENGTH = 8;

    private const AT_ONCE = 100;

    /** @return array{Invitation, string} with the token, which nobody can read again */
    public function make(User $by, InvitationKind $kind, string $name, ?Group $group = null, ?User $for = null): array
    {
        $token = Str::random(self::TOKEN);
        $invitation = Invitation::query()->create([
            'kind' => $kind,
            'token' => self::hashed($token),
            'made_by' => $by->id,
            'group_id' => $group?->id,
            'for_id' => $for?->id,
            'name' => $name,
            'expires_at' => now()->addDays(Invitation::DAYS),
        ]);

        Record::note($by, RecordKind::Invited, self::about($for->name ?? $name, $kind));

        return [$invitation, $token];
    }

    /**
     * A link for each of many students; all of them are made, or none.
     *
     * @param list<string> $names
     *
     * @return list<array{name: string, token: string}>
     */
    public function makeMany(User $by, array $names, ?Group $group): array
    {
        $made = $rows = [];
        foreach ($names as $name) {
            $made[] = ['name' => $name, 'token' => $token = Str::random(self::TOKEN)];
            $rows[] = [
                'id' => mb_strtolower((string) Str::ulid()),
                'kind' => InvitationKind::Student->value,
                'token' => self::hashed($token),
                'made_by' => $by->id,
                'group_id' => $group?->id,
                'name' => $name,
                'expires_at' => now()->addDays(Invitation::DAYS),
                'created_at' => now(),
                'updated_at' => now(),
            ];
        }
        DB::transaction(static function () use ($rows, $by): void {
            Record::note($by, RecordKind::Invited, count($rows).' students');
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                DB::table('invitations')->insert($some);
            }
        });

        return $made;
    }

    /** @throws LinkNotOpen */
    public function open(string $token): Invitation
    {
        $invitation = Invitation::query()->with(['maker', 'group', 'person'])->where('token', self::hashed($token))->first()
            ?? throw LinkNotOpen::unknown();

        return match (true) {
            $invitation->used_at !== null => throw LinkNotOpen::used(),
            ! $invitation->isOpen() => throw LinkNotOpen::expired(),
            default => $invitation,
        };
    }

    /**
     * Who follows the link has an account then, or a new password.
     *
     * @throws LinkNotOpen
     */
    public function follow(string $token, string $name, string $email, string $password): User
    {
        return DB::transaction(function () use ($token, $name, $email, $password): User {
            $invitation = $this->open($token);
            // Two who follow it at once: whoever comes second finds it used.
            $taken = Invitation::query()->whereKey($invitation->id)->whereNull('used_at')->update(['used_at' => now()]);
            $taken === 1 || throw LinkNotOpen::used();

            return match ($invitation->kind) {
                InvitationKind::Password => $this->renewed($invitation->person ?? throw LinkNotOpen::unknown(), $password),
                InvitationKind::Teacher => User::query()->create(
                    ['name' => $name, 'email' => $email, 'password' => $password, 'role' => Role::Teacher],
                ),
                InvitationKind::Student => $this->student($invitation->maker, $invitation->group, $name, $email, $password),
            };
        });
    }

    /** @throws LinkNotOpen */
    public function join(string $code, string $name, string $email, string $password): User
    {
        $group = Group::query()->with('teacher')->where('code', self::plain($code))->first() ?? throw LinkNotOpen::closedCode();

        return DB::transaction(fn (): User => $this->student($group->teacher, $group, $name, $email, $password));
    }

    public function newCode(): string
    {
        do {
            $code = '';
            for ($sign = 0; $sign < self::CODE_LENGTH; $sign++) {
                $code .= self::CODE_SIGNS[random_int(0, strlen(self::CODE_SIGNS) - 1)];
            }
        } while (Group::query()->where('code', $code)->exists());

        return $code;
    }

    private function student(User $teacher, ?Group $group, string $name, string $email, string $password): User
    {
        $student = User::query()->create(['name' => $name, 'email' => $email, 'password' => $password, 'role' => Role::Student]);
        $teacher->students()->attach($student);
        $group?->members()->attach($student);

        return $student;
    }

    private function renewed(User $person, string $password): User
    {
        $person->update(['password' => $password]);

        return $person;
    }

    private static function about(string $name, InvitationKind $kind): string
    {
        return $name === '' ? "a {$kind->value}" : "{$name} ({$kind->value})";
    }

    private static function hashed(string $token): string
    {
        return hash('sha256', $token);
    }

    /** A code is the same however it is typed. */
    private static function plain(string $code): string
    {
        return mb_strtoupper((string) preg_replace('/[^A-Za-z0-9]/', '', mb_substr($code, 0, 40)));
    }
}
