<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Models\Balance;
use App\Models\Group;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class ForgetBalance extends Controller
{
    #[OA\Delete(path: '/api/groups/{group}/balances/{balance}', summary: 'Take a note of a balance test back', parameters: [
        new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'balance', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 204, description: 'gone')])]
    public function __invoke(Group $group, string $balance): Response
    {
        Balance::query()->where('group_id', $group->id)->findOrFail(mb_strtolower($balance))->delete();

        return new Response('', 204);
    }
}
