import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Module,
  Param,
  Post,
  Put,
  Query,
  Res,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { LibraryQuery } from '@which-way/contract';
import type { ApiError, LibraryPage, MatchAnswer, MatchQuestion } from '@which-way/contract';
import { knownSwitchProblems } from '@which-way/core/formats';
import type { KnownSwitch } from '@which-way/core/switch';
import { proxy } from 'comlink';
import type { Response } from 'express';
import { errorBody } from '../errors/error-body.js';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { Backroom } from '../backroom/backroom.js';
import { Writer } from '../database/writer.js';
import { notFound, Refusal, refuse, refused } from '../errors/refusal.js';
import { insertEntry } from './insert-entry.js';
import { requirementTrouble } from './requirement.js';

/** So many whole entries at most are given for a switch of some size to be recognised among. */
const ALIKE = 60;

@ApiTags('library')
@Controller('api/library')
export class LibraryController {
  constructor(
    private readonly backroom: Backroom,
    private readonly writer: Writer,
  ) {}

  @Get()
  @ApiOperation({ summary: 'A page of known switches and parts, by words and size.' })
  list(@Query() query: LibraryQuery): Promise<LibraryPage> {
    const {
      search = '',
      terminals = null,
      positions = null,
      kind = null,
      from = 0,
      size = 50,
      ...facts
    } = query;
    return this.backroom.read((desk) =>
      desk.library({ search, terminals, positions, kind, from, size, facts: { ...facts } }),
    );
  }

  @Get('alike')
  @Header('content-type', 'application/json; charset=utf-8')
  @ApiOperation({ summary: 'Whole entries with exactly so many terminals and positions.' })
  alike(@Query() { terminals = 0, positions = 0 }: LibraryQuery): Promise<string> {
    return this.backroom.read((desk) => desk.alike(terminals, positions, ALIKE));
  }

  @Post('match')
  @HttpCode(200)
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  @ApiOperation({
    summary:
      'What has the required wiring, best first, a line of JSON at a time: what was found so far, and at last all (`done`). Ends when whoever asked goes away.',
  })
  async match(@Body() body: unknown, @Res() response: Response): Promise<void> {
    const trouble = requirementTrouble(body);
    if (trouble) throw new Refusal(400, trouble);
    const flag = new SharedArrayBuffer(4);
    response.once('close', () => Atomics.store(new Int32Array(flag), 0, 1));
    const line = (answer: MatchAnswer | { error: ApiError }) => {
      if (!response.headersSent) response.type('application/x-ndjson');
      if (!response.writableEnded) response.write(`${JSON.stringify(answer)}\n`);
    };
    try {
      const heard = proxy(line);
      line(await this.backroom.long((desk) => desk.match(body as MatchQuestion, flag, heard), flag));
    } catch (error) {
      // Once a line is out no other answer can be given: the trouble is the last line.
      if (!response.headersSent) throw error;
      line({ error: errorBody(error)[1] });
    }
    response.end();
  }

  @Get(':id')
  @Header('content-type', 'application/json; charset=utf-8')
  @ApiOperation({ summary: 'One entry, whole.' })
  async open(@Param('id', OurIdPipe) id: string): Promise<string> {
    const entry = await this.backroom.read((desk) => desk.entry(id));
    if (entry === null) throw notFound('library entry', id);
    return entry;
  }

  @Put(':id')
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  @ApiOperation({ summary: 'Keeps an entry: a new one, or in the place of the one with its id.' })
  async keep(@Param('id', OurIdPipe) id: string, @Body() body: unknown): Promise<{ id: string }> {
    const problems = knownSwitchProblems(body);
    if (problems.length > 0) throw refuse(422, problems);
    const entry = body as KnownSwitch;
    if (entry.id !== id) throw refused(422, 'another-id', {}, 'id');
    await this.writer.write(async (manager) => {
      await manager.query('DELETE FROM library_entry WHERE id = ? AND import IS NULL', [id]);
      await insertEntry(manager, entry, null);
    });
    return { id };
  }
}

@Module({ controllers: [LibraryController] })
export class LibraryModule {}
