// For a lone owner who forgot the password: a link by which whoever signs in by that name gives a new one. joram reset-password NAME.
import postgres from 'postgres';
import { digest, newToken } from '../src/server/accounts/secrets';

const name = process.argv[2] ?? '';
const sql = postgres(process.env.JORAM_RESET_URL!, { max: 1, onnotice: () => {} });
const [member] = await sql<{ club: string; id: string; name: string; clubName: string }[]>`
  select m.club_id as club, m.member_id as id, m.name, c.name as "clubName" from member m join club c using (club_id)
  where lower(m.sign_in) = lower(${name}) and m.left_at is null`;
if (member) {
  const token = newToken();
  await sql.begin(async (tx) => {
    await tx`insert into reset (club_id, token_hash, member_id, made_by, expires_at)
      values (${member.club}, ${digest(token)}, ${member.id}, 'the server', now() + interval '1 day')`;
    await tx`insert into audit (club_id, by_name, what, about) values (${member.club}, 'the server', 'reset made', ${tx.json({ who: member.name })})`;
  });
  console.log(
    `${member.name} of ${member.clubName} gives a new password at /reset/${token} within a day: open it at the address that serve prints.`
  );
} else {
  console.error(`Nobody signs in as “${name}” here.`);
  process.exitCode = 3;
}
await sql.end();
