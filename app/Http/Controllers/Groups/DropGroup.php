<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Models\Group;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class DropGroup extends Controller
{
    #[OA\Delete(path: '/api/groups/{group}', summary: 'Take a class apart; its students stay', parameters: [
        new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 204, description: 'gone')])]
    public function __invoke(Group $group): Response
    {
        $group->delete();

        return new Response('', 204);
    }
}
