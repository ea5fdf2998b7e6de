import { made, type Samples } from "./lib";

const key = "a".repeat(43);
const account = { name: "Somebody", signInName: "somebody", password: "a long enough word" };
const garden = {
  gardenName: "Another",
  place: "",
  latitudeDeg: 10,
  timeZone: "UTC",
  currency: "€",
  unitSystem: "metric",
};

export const PEOPLE_SAMPLES: Samples = {
  "people/accessActions": {
    signIn: {
      least: "nobody in particular",
      ends: true,
      input: async () => ({ signInName: "nobody-here", password: "x" }),
    },
    signOut: { least: "nobody in particular", ends: true, input: async () => ({}) },
    join: { least: "nobody in particular", ends: true, input: async () => ({ key, ...account }) },
    joinSignedIn: { least: "nobody in particular", ends: true, input: async () => ({ key }) },
    resetPassword: {
      least: "nobody in particular",
      ends: true,
      input: async () => ({ key, password: account.password }),
    },
    makeFirstGarden: { least: "nobody in particular", ends: true, input: async () => garden },
    firstStart: { least: "nobody in particular", ends: true, input: async () => ({ ...account, ...garden }) },
  },
  "people/accountActions": {
    changePassword: {
      least: "viewer",
      own: true,
      ends: true,
      input: async () => ({ old: "saltcote-yard", password: "a long enough word" }),
    },
    confirmPassword: { least: "viewer", own: true, input: async () => ({ password: "saltcote-yard" }) },
    beginFactor: { least: "viewer", own: true, input: async () => ({}) },
    switchFactorOn: { least: "viewer", own: true, input: async () => ({ code: "123456" }) },
    switchFactorOff: { least: "viewer", own: true, input: async () => ({ code: "123456" }) },
    renewRecoveryCodes: { least: "viewer", own: true, input: async () => ({ code: "123456" }) },
    removeGarden: { least: "keeper", own: true, ends: true, input: async () => ({ name: "Another name" }) },
    endSession: {
      least: "viewer",
      input: made(
        "insert into session (token_hash, account_id, expires_at) select sha256(random()::text::bytea), id, now() + interval '1 day' from account where sign_in_name = 'ines' returning id",
      ),
    },
    endAllSessions: { least: "viewer", own: true, ends: true, input: async () => ({}) },
    switchGarden: { least: "viewer", input: async () => ({ gardenId: 1 }) },
    makeGarden: { least: "viewer", own: true, ends: true, input: async () => garden },
  },
  "people/memberActions": {
    invite: { least: "keeper", own: true, input: async () => ({ role: "helper", days: 3 }) },
    withdrawInvitation: {
      least: "keeper",
      input: made(
        "insert into invitation (garden_id, token_hash, role, made_by, expires_at) values (1, sha256(random()::text::bytea), 'viewer', 1, now() + interval '1 day') returning id",
      ),
    },
    setRole: {
      least: "keeper",
      input: async (rows) => ({
        ...(await rows("select id, version from person where name = 'Oke Adeyi'"))[0],
        role: "grower",
      }),
    },
    endMembership: {
      least: "keeper",
      input: made(
        "insert into person (garden_id, name, role) values (1, 'Leaves ' || random(), 'viewer') returning id",
      ),
    },
    withdrawResetLink: {
      least: "keeper",
      input: made(
        "insert into reset_link (garden_id, account_id, token_hash, made_by, expires_at) select 1, account_id, sha256(random()::text::bytea), 1, now() + interval '1 day' from person where name = 'Priya Sen' returning id",
      ),
    },
    makeResetLink: { least: "keeper", input: made("select id from person where name = 'Priya Sen'") },
  },
  "people/actions": {
    saveGarden: {
      least: "keeper",
      own: true,
      input: async (rows) => ({
        ...(await rows("select version from garden where id = 1"))[0],
        name: "Saltcote Yard",
        place: "",
        latitudeDeg: 37.2,
        unitSystem: "metric",
        ecUnit: "mS/cm",
        temperatureUnit: "°C",
        currency: "€",
        sowWeekdays: [1, 4],
      }),
    },
  },
  "history/actions": {
    undoAct: {
      least: "grower",
      input: async (rows) => {
        await rows("update store set stored_l = stored_l - 1 where garden_id = 1");
        return {
          act: (await rows("select act from change where table_name = 'store' order by id desc limit 1"))[0]!.act,
        };
      },
    },
  },
};
