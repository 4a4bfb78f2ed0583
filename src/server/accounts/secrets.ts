import { hash } from '@node-rs/argon2';
import { createHash, randomBytes } from 'node:crypto';
import Joi from 'joi';
import { isZone } from '$core/units';

// argon2id at the library's defaults (19 MiB, two passes): about 30 ms on a small machine.
export const secretOf = (password: string): Promise<string> => hash(password);

export const digest = (token: string) => createHash('sha256').update(token).digest('hex');
export const newToken = () => randomBytes(32).toString('base64url');

export const passwordSchema = Joi.string()
  .min(10)
  .max(200)
  .required()
  .messages({ '*': 'Choose a password of at least ten characters. Three or four words are easy to remember.' });
const person = {
  name: Joi.string().trim().min(1).max(120).required().messages({ '*': 'Give your name as the club knows it.' }),
  signIn: Joi.string()
    .trim()
    .lowercase()
    .min(2)
    .max(120)
    .pattern(/^\S+$/)
    .required()
    .messages({ '*': 'Choose a name to sign in with: at least two characters, no spaces. An e-mail address will do.' }),
  password: passwordSchema
};
export const firstClubSchema = Joi.object({
  club: Joi.string().trim().min(1).max(120).required().messages({ '*': 'Give the club its name.' }),
  // The zone of the browser that founds it; the club's owner changes it in Settings.
  zone: Joi.string()
    .custom((zone: string) => (isZone(zone) ? zone : 'UTC'))
    .default('UTC'),
  code: Joi.string().allow('').max(100).default(''),
  ...person
});
export const joinSchema = Joi.object(person);
